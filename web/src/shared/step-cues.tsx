import { entriesOf } from '@still-pine/contract/entries-of'
import { signalWords } from './cue-words'
import { useEntries } from './use-entries'

/** The signals this horse knows a step by; nothing where none were written down. */
export const StepCues = ({ horseId, step }: { horseId: string; step: string }) => {
  const { entries = [] } = useEntries(horseId)
  const cues = entriesOf(entries, 'cue').filter((cue) => cue.step === step)
  if (cues.length === 0) return null
  return (
    <p>
      <b>Its cues:</b> {cues.map((cue) => `${cue.meaning}, ${signalWords(cue)}`).join('; ')}.
    </p>
  )
}

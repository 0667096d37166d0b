import type { PutEntry } from '@still-pine/contract'
import { sameCue } from '@still-pine/core/cues'
import type { Program } from '@still-pine/core/program'
import { useState } from 'react'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { Button } from '../../ui/button'
import { ChoiceField, TextField, Tick } from '../../ui/inputs'
import { CHANNEL_WORDS, RHYTHM_WORDS, WHERE_WORDS, type CueEntry } from '../../shared/cue-words'

interface Props {
  readonly today: string
  readonly program: Program
  readonly told: CueEntry | null
  /** The others in the book. */
  readonly others: readonly CueEntry[]
  readonly onPut: (entry: PutEntry) => void
}

const inPairs = (words: Readonly<Record<string, string>>): readonly (readonly [string, string])[] =>
  Object.entries(words)

/** One signal and what it means. */
export const CueForm = ({ today, program, told, others, onPut }: Props) => {
  const [form, setForm] = useState({
    meaning: told?.meaning ?? '',
    channel: told?.channel ?? 'rope',
    place: told?.place ?? '',
    side: told?.side ?? 'both',
    rhythm: told?.rhythm ?? 'once',
    where: told?.where ?? 'ground',
    step: told?.step ?? '',
    groundOnly: told?.groundOnly ?? false,
    ofYard: told?.ofYard ?? false,
    count: String(told?.count ?? 1),
    gapSeconds: String(told?.gapSeconds ?? 0),
  })
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'cue',
      on: told?.on ?? today,
      ...form,
      step: form.step || null,
      count: typedNumber(form.count),
      gapSeconds: typedNumber(form.gapSeconds),
    }),
    onPut,
    (entry) =>
      entry.kind === 'cue' && others.some((cue) => sameCue(cue, { ...entry, id: '' }))
        ? { meaning: 'This cue stands in the book already.' }
        : {},
  )
  const field = (name: keyof typeof form) => ({
    value: String(form[name]),
    error: faults[name],
    onChange: ({ target }: { target: { value: string } }) => setForm({ ...form, [name]: target.value }),
  })
  const tick = (name: 'groundOnly' | 'ofYard') => ({
    checked: form[name],
    onChange: ({ target }: { target: { checked: boolean } }) => setForm({ ...form, [name]: target.checked }),
  })
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField label="It means" hint="over, go, whoa, back" {...field('meaning')} />
      <div className="grid gap-3 desk:grid-cols-2">
        <ChoiceField label="Given with" words={inPairs(CHANNEL_WORDS)} {...field('channel')} />
        <TextField
          label={form.channel === 'voice' ? 'The word' : 'Where it feels it'}
          hint={form.channel === 'voice' ? 'or the sound' : 'ribs, poll, girth, hip'}
          {...field('place')}
        />
        <ChoiceField
          label="Side"
          words={inPairs({ both: 'either', left: 'left', right: 'right' })}
          {...field('side')}
        />
        <ChoiceField label="Rhythm" words={inPairs(RHYTHM_WORDS)} {...field('rhythm')} />
        <TextField label="How often" inputMode="numeric" {...field('count')} />
        <TextField
          label="Seconds between"
          hint="further apart than 0.7 s they are single taps"
          inputMode="decimal"
          {...field('gapSeconds')}
        />
        <ChoiceField label="Asked" words={inPairs(WHERE_WORDS)} {...field('where')} />
        <ChoiceField
          label="With the step"
          words={[['', 'no one step'], ...program.steps.map(({ key, name }) => [key, name] as const)]}
          {...field('step')}
        />
      </div>
      <Tick {...tick('groundOnly')}>It is never wanted from the saddle</Tick>
      <Tick {...tick('ofYard')}>It holds for every horse of the yard</Tick>
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep this cue'}
      </Button>
    </form>
  )
}

import type { Permit } from '@still-pine/core/permit'
import { WhyForm } from '../shared/why-form'
import { withDays } from '../shared/words'
import { Button } from '../ui/button'

interface Props {
  readonly permit: Permit
  /** What the button that begins it says. */
  readonly begins: string
  readonly disabled: boolean
  /** What is said where it is done against the permit: the fold, the hint under its reason, the button. */
  readonly allTheSame: { readonly fold: string; readonly hint: string; readonly act: string }
  readonly start: (note?: string) => void
}

/** Begins what is permitted, and logs what is done all the same with why; nothing a person did is refused a record. */
export const PermitStart = ({ permit: { answer, because }, begins, disabled, allTheSame, start }: Props) => (
  <>
    {because.length > 0 && (
      <ul className="flex flex-col gap-2 border-l-8 border-stop bg-panel px-3 py-2 text-lg leading-snug">
        {because.map(({ words }) => (
          <li key={words}>{withDays(words)}</li>
        ))}
      </ul>
    )}
    {answer === 'no' ? (
      <details>
        <summary className="min-h-16 text-lg font-bold">{allTheSame.fold}</summary>
        <WhyForm
          label="Why, in a word"
          hint={allTheSame.hint}
          act={allTheSame.act}
          className="flex-col"
          onWhy={(why) => start(`Against what was said: ${why}`)}
        />
      </details>
    ) : (
      <Button look="act" className="min-h-24 text-3xl" disabled={disabled} onClick={() => start()}>
        {answer === 'confirm' ? `All that is so: ${begins.toLowerCase()}` : begins}
      </Button>
    )}
  </>
)

import { exposureBounds, exposuresAt, EXPOSURE_WORDS, EXPOSURES, type Step } from '@still-pine/core/program'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly step: Step
  readonly draft: SchoolDraft
}

/** What one rung puts at risk: what ships, or what its neighbours share, stays ticked. */
const OfRung = ({ step, draft, rung }: Props & { readonly rung: number }) => {
  const told = exposuresAt(step, rung)
  const { least } = exposureBounds(draft.program, step, rung)
  const turn = (one: (typeof EXPOSURES)[number], on: boolean): void =>
    void draft.make({
      do: 'expose',
      step: step.key,
      rung,
      exposures: on ? [...told, one] : told.filter((other) => other !== one),
    })
  return (
    <fieldset className="border-t border-line py-2">
      <legend className="font-bold">
        {rung}: {step.rungs[rung - 1]}
      </legend>
      {told.length === 0 && <p className="text-quiet">Nothing of it.</p>}
      <ul className="columns-1 gap-6 desk:columns-2">
        {EXPOSURES.map((one) => (
          <li key={one} className="break-inside-avoid">
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0"
                checked={told.includes(one)}
                disabled={least.includes(one)}
                onChange={(event) => turn(one, event.target.checked)}
              />
              {EXPOSURE_WORDS[one]}
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  )
}

/** What every rung of a step puts at risk, in words; gates and ages follow from it, so it can only be made stricter. */
export const ExposuresPart = ({ step, draft }: Props) => (
  <details>
    <summary className="min-h-11 font-name text-xl font-bold">What each rung puts at risk</summary>
    <p className="text-quiet">
      Gates, ages, checks and the second person hang on it. What ships, and what the rungs on both sides
      share, stays; more can be ticked.
    </p>
    {step.rungs.map((words, i) => (
      <OfRung key={words} step={step} draft={draft} rung={i + 1} />
    ))}
  </details>
)

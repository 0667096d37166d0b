import { CARD_PARTS, cardOf, type CardPart, type Step } from '@still-pine/core/program'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { Button } from '../../../ui/button'
import { Field, INPUT } from '../../../ui/field'
import { ExposuresPart } from './exposures-part'
import { NeedList } from './need-list'
import { RungList } from './rung-list'
import { TextInput } from './text-input'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly step: Step
  readonly draft: SchoolDraft
}

const Tick = ({
  label,
  hint,
  on,
  onTurn,
}: {
  label: string
  hint: string
  on: boolean
  onTurn: (on: boolean) => void
}) => (
  <label className="flex min-h-11 items-start gap-3 py-1">
    <input
      type="checkbox"
      className="mt-1 size-6 shrink-0"
      checked={on}
      onChange={(e) => onTurn(e.target.checked)}
    />
    <span>
      <b>{label}</b> <span className="text-quiet">{hint}</span>
    </span>
  </label>
)

const percent = (share: number): number => Math.round(share * 100)

/** The step’s own need: what a neck hangs on may ask for more than the model does. */
const OwnNeed = ({ step, draft }: Props) => {
  const usual = STANDARD_MODEL.solid[step.kind]
  const need = step.need ?? usual
  const set = (patch: Partial<typeof need>): void => {
    draft.make({ do: 'own-need', step: step.key, need: { ...need, ...patch } })
  }
  const parts = [
    ['chance', 'Chance of a light answer, %'],
    ['low', 'Its low end, %'],
    ['calm', 'Chance of not tight, %'],
  ] as const
  return (
    <div>
      <Tick
        label="Asks more of itself"
        hint={`than ${percent(usual.chance)}, ${percent(usual.low)} and ${percent(usual.calm)} %, before it is called Solid`}
        on={step.need !== undefined}
        onTurn={(on) =>
          draft.make({
            do: 'own-need',
            step: step.key,
            need: on ? { chance: 0.9, low: 0.75, calm: 0.85 } : null,
          })
        }
      />
      {step.need && (
        <div className="flex flex-wrap gap-3 pl-9">
          {parts.map(([part, label]) => (
            <Field key={part} label={label}>
              {(props) => (
                <input
                  type="number"
                  min={50}
                  max={99}
                  className={INPUT}
                  defaultValue={percent(need[part])}
                  onBlur={(e) => {
                    const share = Math.min(99, Math.max(50, Number(e.target.value) || 50)) / 100
                    if (share !== need[part]) set({ [part]: share })
                  }}
                  {...props}
                />
              )}
            </Field>
          ))}
        </div>
      )}
    </div>
  )
}

/** Everything a yard may change about one step. */
export const StepForm = ({ step, draft }: Props) => {
  const { program, make } = draft
  const card = cardOf(program, step.key)
  return (
    <div className="flex flex-col gap-5">
      <h2 className="sr-only">{step.name}</h2>
      <TextInput
        label="Name"
        value={step.name}
        onSave={(name) => make({ do: 'name-step', step: step.key, name })}
      />
      <RungList step={step} draft={draft} />
      <NeedList
        title="Needs first"
        hint="Nothing: it is open from the first day."
        program={program}
        needs={step.needs}
        not={step.key}
        onAdd={(need) => make({ do: 'add-need', step: step.key, need })}
        onDrop={(need) => make({ do: 'drop-need', step: step.key, need })}
      />
      <div>
        <Tick
          label="Asked on each side"
          hint="left and right are judged apart"
          on={step.sided}
          onTurn={(sided) => make({ do: 'sides', step: step.key, sided })}
        />
        <Tick
          label="All round"
          hint="not done until it holds from all five places, some of it moving"
          on={step.allRound}
          onTurn={(allRound) => make({ do: 'all-round', step: step.key, allRound })}
        />
        <OwnNeed key={step.key} step={step} draft={draft} />
      </div>
      <ExposuresPart step={step} draft={draft} />
      <details>
        <summary className="min-h-11 font-name text-xl font-bold">Its card, in your words</summary>
        <div className="flex flex-col gap-3">
          {(Object.entries(CARD_PARTS) as [CardPart, string][]).map(([part, label]) => (
            <TextInput
              key={part}
              label={label}
              lines={4}
              value={card[part]}
              onSave={(words) => make({ do: 'card', step: step.key, words: { [part]: words } })}
            />
          ))}
        </div>
      </details>
      <div>
        <Button look="danger" onClick={() => make({ do: 'remove-step', step: step.key })}>
          Take {step.name} off the path
        </Button>
      </div>
    </div>
  )
}

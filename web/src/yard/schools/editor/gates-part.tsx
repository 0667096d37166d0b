import { fixedStopsOf, youngestAt, type Gate, type StopRule } from '@still-pine/core/program'
import { Field, INPUT } from '../../../ui/field'
import { NeedList } from './need-list'
import type { SchoolDraft } from './use-draft'

const STOPS: Readonly<Record<StopRule, string>> = {
  'veterinary-hold': 'No veterinary hold',
  'mouth-check': 'A vet or equine dentist has looked at the mouth',
  age: 'Old enough',
  helmet: 'Helmet on',
  helper: 'A helper is there',
  'saddle-check': 'The saddle was checked for this horse',
  'safe-rail': 'A safe rail and a quick release',
  incident: 'No serious incident in the last three calendar days',
  company: 'Company for the first',
  'rider-share': 'Rider and tack are not too heavy',
}

const Stops = ({ gate, draft }: { gate: Gate; draft: SchoolDraft }) => {
  const fixed = fixedStopsOf(gate.key)
  return (
    <section>
      <h4 className="text-lg">Shut without</h4>
      {(Object.entries(STOPS) as [StopRule, string][]).map(([stop, words]) => {
        const isFixed = fixed.includes(stop)
        return (
          <label key={stop} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6"
              checked={gate.stops.includes(stop)}
              disabled={isFixed}
              onChange={(e) => draft.make({ do: 'gate-stop', gate: gate.key, stop, on: e.target.checked })}
            />
            <span>
              {words}
              {isFixed && <span className="text-quiet"> stays: law and vet come first</span>}
            </span>
          </label>
        )
      })}
    </section>
  )
}

const WholeNumber = ({
  label,
  hint,
  value,
  min,
  onSave,
}: {
  label: string
  hint: string
  value: number
  min: number
  onSave: (value: number) => void
}) => (
  <Field label={label} hint={hint}>
    {(props) => (
      <input
        key={value}
        type="number"
        className={`${INPUT} max-w-32`}
        min={min}
        defaultValue={value}
        onBlur={(e) => {
          const next = Math.round(Number(e.target.value))
          if (Number.isFinite(next) && next !== value) onSave(next)
          e.target.value = String(value)
        }}
        {...props}
      />
    )}
  </Field>
)

const OneGate = ({ gate, draft }: { gate: Gate; draft: SchoolDraft }) => {
  const { program, make } = draft
  const listOf = (list: 'solid' | 'met') => ({
    program,
    needs: gate[list],
    onAdd: (need: Gate['solid'][number]) => make({ do: 'gate-add' as const, gate: gate.key, list, need }),
    onDrop: (need: Gate['solid'][number]) => make({ do: 'gate-drop' as const, gate: gate.key, list, need }),
  })
  const guarded = gate.guards.kind === 'step' ? gate.guards.step : gate.guards.after
  const name = program.steps.find(({ key }) => key === guarded)?.name ?? guarded
  return (
    <details className="border-t-4 border-ink bg-panel p-4">
      <summary className="min-h-11 font-name text-xl font-bold">
        {gate.name}{' '}
        <span className="font-read text-base font-normal text-quiet">
          {gate.guards.kind === 'step'
            ? `guards ${name} from rung ${gate.guards.fromRung}`
            : gate.guards.event}
        </span>
      </summary>
      <div className="grid gap-6 desk:grid-cols-2">
        <div className="flex flex-col gap-5">
          {gate.ticked ? (
            <p>What it asks for is ticked for each horse.</p>
          ) : (
            <>
              <NeedList title="Must be Solid, both sides" hint="Nothing." {...listOf('solid')} />
              <NeedList title="Must be met today" hint="Nothing." {...listOf('met')} />
            </>
          )}
        </div>
        <div className="flex flex-col gap-5">
          <Stops gate={gate} draft={draft} />
          {gate.stops.includes('age') && (
            <WholeNumber
              label="Least age, months"
              hint={`${youngestAt(gate.key)} or more; local law comes first.`}
              min={youngestAt(gate.key)}
              value={gate.leastMonths ?? 0}
              onSave={(months) => make({ do: 'gate-months', gate: gate.key, months })}
            />
          )}
          <WholeNumber
            label="Asked again after, calendar days"
            hint="A track without an answer for so long wants a first ask again."
            min={1}
            value={gate.freshDays}
            onSave={(days) => make({ do: 'gate-days', gate: gate.key, days })}
          />
        </div>
      </div>
    </details>
  )
}

/** What each gate asks for, and what shuts it outright. */
export const GatesPart = ({ draft }: { draft: SchoolDraft }) => (
  <div className="flex flex-col gap-3">
    <h2 className="sr-only">Gates</h2>
    {draft.program.gates.map((gate) => (
      <OneGate key={gate.key} gate={gate} draft={draft} />
    ))}
  </div>
)

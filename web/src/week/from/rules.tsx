import { Arranged, type ArrangedOf, type ReplyOf } from '@still-pine/contract'
import { rulesIn } from '@still-pine/use-cases/week-asked'
import { useState } from 'react'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { ChoiceField, TextField, Tick } from '../../ui/inputs'
import { Sheet } from '../../ui/sheet'
import { stretchesIn } from './hours'
import { useArrange } from './use-arrange'

type Week = ReplyOf<'plannedWeek'>
type Rules = Omit<ArrangedOf<'rules'>, 'about'>

const REST_WORDS = [
  ['noLoad', 'handling at the most'],
  ['untouched', 'nothing'],
  ['none', 'anything'],
] as const

const PART_NAMES = ['morning', 'afternoon', 'evening', 'late']

const partsTyped = (parts: Rules['parts']): string => parts.map(({ from, to }) => `${from}-${to}`).join(', ')

/** Parts of a day, in their order, under names that say when they are. */
const partsFrom = (text: string): Rules['parts'] | null => {
  const stretches = stretchesIn(text)
  return stretches === null || stretches.length === 0 || stretches.length > PART_NAMES.length
    ? null
    : stretches.map((one, i) => ({ id: PART_NAMES[i]!, ...one }))
}

const RulesForm = ({ week, onDone }: { week: Week; onDone: () => void }) => {
  const { arrange, isLoading } = useArrange(week)
  const known = rulesIn(week)
  const [parts, setParts] = useState(partsTyped(known.parts))
  const [rules, setRules] = useState(known)
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const set = (change: Partial<Rules>): void => setRules({ ...rules, ...change })
  const read = partsFrom(parts)
  const save = async (): Promise<void> => {
    const found = Arranged.safeParse({ ...rules, about: 'rules', parts: read })
    if (!found.success)
      return setFaults(
        Object.fromEntries(found.error.issues.map(({ path, message }) => [String(path[0]), message])),
      )
    if (await arrange(week.yardId, found.data)) onDone()
  }
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <TextField
        label="Parts of a day"
        hint="A visit lies within one: 8-12, 13-17"
        value={parts}
        error={read === null ? 'One to four stretches, such as 8-12, 13-17.' : undefined}
        onChange={({ target }) => setParts(target.value)}
      />
      <div className="grid grid-cols-2 gap-3">
        <ChoiceField
          label="Planned in steps of"
          words={[5, 10, 15, 30].map((one) => [String(one), `${one} minutes`] as const)}
          value={String(rules.slotMinutes)}
          onChange={({ target }) => set({ slotMinutes: Number(target.value) as Rules['slotMinutes'] })}
        />
        <TextField
          label="From one horse to the next, minutes"
          inputMode="numeric"
          value={String(rules.changeoverMinutes)}
          error={faults.changeoverMinutes}
          onChange={({ target }) => set({ changeoverMinutes: Number(target.value) })}
        />
        <ChoiceField
          label="The day after a hard one"
          words={REST_WORDS}
          value={rules.restAfterHardDay}
          onChange={({ target }) => set({ restAfterHardDay: target.value as Rules['restAfterHardDay'] })}
        />
        <TextField
          label="No two load days running below, months"
          hint="Empty: at no age."
          inputMode="numeric"
          value={rules.noTwoLoadDaysBelowMonths?.toString() ?? ''}
          error={faults.noTwoLoadDaysBelowMonths}
          onChange={({ target }) =>
            set({ noTwoLoadDaysBelowMonths: target.value.trim() === '' ? null : Number(target.value) })
          }
        />
        <TextField
          label="Most days untouched"
          inputMode="numeric"
          value={String(rules.mostDaysUntouched)}
          error={faults.mostDaysUntouched}
          onChange={({ target }) => set({ mostDaysUntouched: Number(target.value) })}
        />
      </div>
      <Tick
        checked={rules.namesInCalendars}
        onChange={({ target }) => set({ namesInCalendars: target.checked })}
      >
        Calendars tell the names of the horses
      </Tick>
      <Button look="act" type="submit" disabled={isLoading || read === null}>
        Save
      </Button>
    </form>
  )
}

/** What every week keeps to. */
export const Rules = ({ week }: { week: Week }) => {
  const mayPlan = useMay('plan-week')
  const [open, setOpen] = useState(false)
  const rules = rulesIn(week)
  const below = rules.noTwoLoadDaysBelowMonths
  return (
    <section>
      <h2 className="mb-2 text-2xl">Rules</h2>
      <ul>
        <li className="border-t border-line py-1">
          A day is {rules.parts.map(({ id, from, to }) => `the ${id} ${from} to ${to}`).join(' and ')}, in
          steps of {rules.slotMinutes} minutes, {rules.changeoverMinutes} from one horse to the next.
        </li>
        <li className="border-t border-line py-1">
          The day after a hard one: {REST_WORDS.find(([key]) => key === rules.restAfterHardDay)![1]}.
        </li>
        <li className="border-t border-line py-1">
          {below === null
            ? 'Two load days running at any age.'
            : `No two load days running below ${below} months.`}
        </li>
        <li className="border-t border-line py-1">
          No horse is left more than {rules.mostDaysUntouched} days untouched, if it can be helped.
        </li>
        <li className="border-t border-line py-1">
          Load days: none under two years, two under three, then as many in seven as it has years, five at the
          most; of unknown age two. That stands, whatever is planned.
        </li>
      </ul>
      {mayPlan && (
        <Button className="mt-2" onClick={() => setOpen(true)}>
          Change the rules
        </Button>
      )}
      <Sheet open={open} title="Rules of every week" onClose={() => setOpen(false)}>
        {open && <RulesForm week={week} onDone={() => setOpen(false)} />}
      </Sheet>
    </section>
  )
}

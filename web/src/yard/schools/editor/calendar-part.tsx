import type { GateDay } from '@still-pine/core/school-edit'
import { count } from '@still-pine/core/answer'
import { MOST_WORK_DAYS, useCalendar, type Calendar } from './use-calendar'
import type { SchoolDraft } from './use-draft'

const dayOf = (gates: readonly GateDay[] | null, gate: string): number | null | undefined =>
  gates?.find((one) => one.gate === gate)?.workDays

const words = (workDays: number | null | undefined): string =>
  workDays === undefined ? '' : workDays === null ? `not in ${MOST_WORK_DAYS}` : String(workDays)

const change = (before: number | null | undefined, after: number | null | undefined): string => {
  if (before === undefined || after === undefined || before === after)
    return before === after ? 'the same' : ''
  if (after === null) return 'out of reach'
  if (before === null) return 'within reach'
  const by = after - before
  return `${count(Math.abs(by), 'work day')} ${by > 0 ? 'later' : 'sooner'}`
}

const Working = ({ calendar, what }: { calendar: Calendar; what: string }) =>
  calendar.gates ? null : (
    <p role="status" className="flex items-center gap-3">
      <progress max={MOST_WORK_DAYS} value={calendar.day} aria-label={`Working a made-up horse ${what}`} />
      {what}: work day {calendar.day}
    </p>
  )

const sentence = (before: Calendar, after: Calendar): string => {
  if (!before.gates || !after.gates) return 'A made-up horse is being worked through both.'
  const moved = after.gates.filter((gate) => gate.workDays !== dayOf(before.gates, gate.gate))
  const [first] = moved
  if (!first) return 'The change moves no gate of a made-up horse.'
  return `${first.name} comes ${change(dayOf(before.gates, first.gate), first.workDays)}; ${count(moved.length, 'gate')} moved in all.`
}

/** When a made-up middling horse stands before each gate, before the change and after it. */
export const CalendarPart = ({ draft }: { draft: SchoolDraft }) => {
  const before = useCalendar(draft.base)
  const after = useCalendar(draft.edits.length > 0 ? draft.program : draft.base)
  return (
    <section className="flex max-w-4xl flex-col gap-3">
      <p className="text-xl font-bold">{sentence(before, after)}</p>
      <p className="text-quiet">
        One made-up middling horse, worked 25 minutes on three days a week as the plan says, with the same
        luck in both. Work days until each gate wants no more than first asks of the day. A real horse will be
        quicker or slower; look at the difference.
      </p>
      <Working calendar={before} what="before the change" />
      {draft.edits.length > 0 && <Working calendar={after} what="after the change" />}
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left">
            <th scope="col">Gate</th>
            <th scope="col">Before, work days</th>
            <th scope="col">After, work days</th>
            <th scope="col">Change</th>
          </tr>
        </thead>
        <tbody>
          {draft.program.gates
            .filter(({ ticked }) => !ticked)
            .map(({ key, name }) => {
              const [was, is] = [dayOf(before.gates, key), dayOf(after.gates, key)]
              return (
                <tr key={key} className="border-t border-line">
                  <th scope="row" className="py-2 text-left">
                    {name}
                  </th>
                  <td className="tabular-nums">{words(was)}</td>
                  <td className="tabular-nums">{words(is)}</td>
                  <td className={was === is ? 'text-quiet' : 'font-bold'}>{change(was, is)}</td>
                </tr>
              )
            })}
        </tbody>
      </table>
    </section>
  )
}

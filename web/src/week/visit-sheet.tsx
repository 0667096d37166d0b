import type { PlannedVisit, ReplyOf } from '@still-pine/contract'
import { upperFirst } from '@still-pine/core/readiness'
import { Link } from 'react-router'
import { longDay } from '../shared/words'
import { Button } from '../ui/button'
import { ChoiceField } from '../ui/inputs'
import { Sheet } from '../ui/sheet'
import type { Move } from './moves'
import { hour, visitWord } from './words'

interface Props {
  readonly week: ReplyOf<'plannedWeek'>
  readonly days: readonly string[]
  readonly visit: PlannedVisit
  readonly isPinned: boolean
  readonly mayPlan: boolean
  readonly onClose: () => void
  readonly move: (visit: PlannedVisit, by: Move) => void
  readonly pin: (visit: PlannedVisit) => void
  readonly takeOff: (visit: PlannedVisit) => void
}

/** One visit: why it stands here, and what may be done with it. */
export const VisitSheet = ({ week, days, visit, isPinned, mayPlan, onClose, move, pin, takeOff }: Props) => {
  const name = (list: readonly { id: string; name: string }[], id: string | null): string | undefined =>
    list.find((one) => one.id === id)?.name
  const horse = name(week.horses, visit.horseId) ?? ''
  const helper = name(week.people, visit.helperId)
  const and = (act: () => void) => () => {
    act()
    onClose()
  }
  return (
    <Sheet open title={`${horse}: ${visitWord(visit)}`} onClose={onClose}>
      <div className="flex flex-col gap-4">
        <p className="text-lg">
          {longDay(visit.day)} at <b>{hour(visit.start)}</b>, {visit.minutes} minutes,{' '}
          {name(week.people, visit.leadId)}
          {helper && ` with ${helper}`}
          {visit.placeId && ` in ${name(week.places, visit.placeId)}`}.
        </p>
        <section>
          <h3 className="font-bold">Why here</h3>
          <ul>
            {visit.reasons.map((reason) => (
              <li key={reason}>{upperFirst(reason)}.</li>
            ))}
            {isPinned && <li>Somebody put it there by hand.</li>}
          </ul>
        </section>
        {mayPlan && (
          <>
            <div className="grid grid-cols-2 gap-3">
              <ChoiceField
                label="Day"
                words={days.map((day) => [day, longDay(day)] as const)}
                value={visit.day}
                onChange={({ target }) =>
                  and(() => move(visit, { days: days.indexOf(target.value) - days.indexOf(visit.day) }))()
                }
              />
              <ChoiceField
                label="Led by"
                words={week.people.map((person) => [person.id, person.name] as const)}
                value={visit.leadId}
                onChange={({ target }) => and(() => move(visit, { leadId: target.value }))()}
              />
            </div>
            <div className="flex flex-wrap gap-2">
              <Button onClick={and(() => pin(visit))}>{isPinned ? 'Let it move' : 'Pin it here'}</Button>
              <Button onClick={and(() => takeOff(visit))}>Take it off this day</Button>
            </div>
          </>
        )}
        {visit.due === null && (
          <Link className="min-h-11 font-bold underline" to={`/before/${visit.horseId}`}>
            What it does next
          </Link>
        )}
      </div>
    </Sheet>
  )
}

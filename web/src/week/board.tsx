import type { PlannedVisit, ReplyOf } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import { personIn } from '@still-pine/use-cases/week-asked'
import { Pin } from 'lucide-react'
import { useState, type KeyboardEvent } from 'react'
import type { Move } from './moves'
import { dayHead, hour, visitWord } from './words'

type Week = ReplyOf<'plannedWeek'>

interface BoardProps {
  readonly week: Week
  readonly days: readonly Day[]
  readonly visits: readonly PlannedVisit[]
  readonly pinned: ReadonlySet<string>
  readonly moved: ReadonlySet<string>
  readonly slotMinutes: number
  readonly mayPlan: boolean
  readonly open: (visit: PlannedVisit) => void
  readonly move: (visit: PlannedVisit, by: Move) => void
  readonly pin: (visit: PlannedVisit) => void
  readonly takeOff: (visit: PlannedVisit) => void
}

const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((one) => one.id === id)?.name ?? ''

/** A visit that is lifted, and how far it has been carried. */
interface Lifted {
  readonly id: string
  readonly days: number
  readonly minutes: number
}

interface TagProps extends BoardProps {
  readonly visit: PlannedVisit
  readonly lifted: Lifted | null
  readonly setLifted: (lifted: Lifted | null) => void
}

const carriedTo = ({ days, minutes }: Lifted): string =>
  [
    days === 0
      ? ''
      : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'later' : 'earlier'}`,
    minutes === 0 ? '' : `${Math.abs(minutes)} min ${minutes > 0 ? 'later' : 'earlier'}`,
  ]
    .filter(Boolean)
    .join(', ') || 'lifted'

/** One visit in its lead's row: a horse at its hour. */
const Tag = ({
  visit,
  week,
  days,
  pinned,
  moved,
  slotMinutes,
  mayPlan,
  lifted,
  setLifted,
  ...on
}: TagProps) => {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: visit.id,
    disabled: !mayPlan,
  })
  const isLifted = lifted?.id === visit.id
  const name = nameOf(week.horses, visit.horseId)
  const press = (event: KeyboardEvent): void => {
    if (!mayPlan || event.ctrlKey || event.metaKey || event.altKey) return
    const at = days.indexOf(visit.day) + (isLifted ? lifted.days : 0)
    const carry = (by: { days?: number; minutes?: number }): void => {
      const next = at + (by.days ?? 0)
      if (isLifted && next >= 0 && next < days.length)
        setLifted({
          ...lifted,
          days: lifted.days + (by.days ?? 0),
          minutes: lifted.minutes + (by.minutes ?? 0),
        })
    }
    const drop = (): void => {
      if (!isLifted) return setLifted({ id: visit.id, days: 0, minutes: 0 })
      setLifted(null)
      const { days: later, minutes } = lifted
      if (later !== 0 || minutes !== 0)
        on.move(visit, { ...(later === 0 ? {} : { days: later }), ...(minutes === 0 ? {} : { minutes }) })
    }
    const keys: Record<string, () => void> = {
      Enter: drop,
      ArrowLeft: () => carry({ days: -1 }),
      ArrowRight: () => carry({ days: 1 }),
      ArrowUp: () => carry({ minutes: -slotMinutes }),
      ArrowDown: () => carry({ minutes: slotMinutes }),
      p: () => on.pin(visit),
      P: () => on.pin(visit),
      Delete: () => on.takeOff(visit),
    }
    const act = keys[event.key]
    if (event.key === 'Escape' && isLifted) setLifted(null)
    else if (act && (isLifted || !event.key.startsWith('Arrow'))) act()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const place = nameOf(week.places, visit.placeId)
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-roledescription="visit"
      aria-pressed={isLifted}
      onKeyDown={press}
      onClick={() => on.open(visit)}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className={`flex min-h-11 w-full flex-col items-start rounded-md border-2 bg-panel px-1.5 py-0.5 text-left leading-tight ${
        isDragging ? 'relative z-20' : ''
      } ${isLifted ? 'border-act' : moved.has(visit.id) ? 'border-way border-dashed' : 'border-ink'} ${
        visit.due === null ? '' : 'border-double border-4'
      }`}
    >
      <span className="flex w-full items-baseline gap-1">
        <span className="tabular-nums">{hour(visit.start)}</span>
        <b className="min-w-0 truncate font-name">{name}</b>
        {pinned.has(visit.id) && (
          <Pin size={14} aria-label="pinned" className="ml-auto shrink-0 self-center" />
        )}
      </span>
      <span className="text-sm text-quiet">
        {isLifted ? (
          <b className="text-ink">{carriedTo(lifted)}</b>
        ) : (
          [visitWord(visit), place].filter(Boolean).join(', ')
        )}
        {moved.has(visit.id) && !isLifted && <span className="sr-only">, moved</span>}
      </span>
    </button>
  )
}

/** What somebody helps at, in their own row; joined to the visit by its hour and its horse. */
const Helps = ({ visit, week }: { visit: PlannedVisit; week: Week }) => (
  <p className="min-h-8 border-l-4 border-dotted border-ink pl-1.5 text-sm leading-tight">
    <span className="tabular-nums">{hour(visit.start)}</span> helps {nameOf(week.people, visit.leadId)} with{' '}
    <b>{nameOf(week.horses, visit.horseId)}</b>
  </p>
)

const byTime = (a: PlannedVisit, b: PlannedVisit): number =>
  a.start.localeCompare(b.start) || a.id.localeCompare(b.id)

interface CellProps extends BoardProps {
  readonly personId: string
  readonly day: Day
  readonly lifted: Lifted | null
  readonly setLifted: (lifted: Lifted | null) => void
}

const Cell = ({ personId, day, ...board }: CellProps) => {
  const { setNodeRef, isOver } = useDroppable({ id: `${personId} ${day}` })
  const inCell = board.visits
    .filter((visit) => visit.day === day && (visit.leadId === personId || visit.helperId === personId))
    .toSorted(byTime)
  return (
    <td
      ref={setNodeRef}
      className={`border-l border-line p-1 align-top ${isOver ? 'bg-line' : day === board.week.today ? 'bg-panel' : ''}`}
    >
      <div className="flex flex-col gap-1">
        {inCell.map((visit) =>
          visit.leadId === personId ? (
            <Tag key={visit.id} visit={visit} {...board} />
          ) : (
            <Helps key={visit.id} visit={visit} week={board.week} />
          ),
        )}
      </div>
    </td>
  )
}

/** Days across, people down; a farrier or a vet has a row only where they come. */
export const Board = (props: BoardProps) => {
  const { week, days, visits, move } = props
  const [lifted, setLifted] = useState<Lifted | null>(null)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const rows = week.people.filter(
    (person) =>
      personIn(week, person).hours.length > 0 ||
      visits.some(({ leadId, helperId }) => leadId === person.id || helperId === person.id),
  )
  const drop = ({ active, over }: DragEndEvent): void => {
    const visit = visits.find(({ id }) => id === active.id)
    const [personId, day] = String(over?.id ?? '').split(' ')
    if (!visit || !personId || !day) return
    const later = days.indexOf(day) - days.indexOf(visit.day)
    const lead = personId === visit.leadId ? undefined : personId
    if (later !== 0 || lead !== undefined)
      move(visit, {
        ...(later === 0 ? {} : { days: later }),
        ...(lead === undefined ? {} : { leadId: lead }),
      })
  }
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div className="overflow-x-auto">
        <table className="w-full table-fixed border-collapse">
          <caption className="sr-only">Who works which horse on which day</caption>
          <thead>
            <tr className="text-left">
              <th scope="col" className="w-24 py-1">
                <span className="sr-only">Person</span>
              </th>
              {days.map((day) => (
                <th
                  key={day}
                  scope="col"
                  className={`border-l border-line px-1 py-1 ${day === week.today ? 'bg-panel' : ''}`}
                >
                  {dayHead(day)}
                  {day === week.today && <span className="sr-only">, today</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name }) => (
              <tr key={id} className="border-t-2 border-ink">
                <th scope="row" className="py-2 pr-2 text-left align-top font-name">
                  {name}
                </th>
                {days.map((day) => (
                  <Cell key={day} personId={id} day={day} {...props} lifted={lifted} setLifted={setLifted} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p aria-live="polite" className="sr-only">
        {lifted ? carriedTo(lifted) : ''}
      </p>
    </DndContext>
  )
}

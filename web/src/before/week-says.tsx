import type { ReplyOf, VisitTold } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { useNow } from '../ui/use-now'
import { clock } from '../shared/words'

const hourOf = ({ start }: VisitTold): string => start.replace(/^0/, '')

const where = ({ leadName, helperName, placeName }: VisitTold): string =>
  [`with ${leadName}`, helperName ? `helped by ${helperName}` : '', placeName ? `in ${placeName}` : '']
    .filter(Boolean)
    .join(', ')

const visitWords = (visit: VisitTold): string =>
  visit.due === null
    ? `${hourOf(visit)} ${where(visit)}: ${visit.use}, ${visit.minutes} minutes`
    : `${hourOf(visit)} ${where(visit)}: what is due`

interface Said {
  readonly told: ReplyOf<'visits'>
  readonly horseId: string
  readonly day: Day
}

/** What the week decided for a horse on a day, and whether it went otherwise; nothing where no week was planned. */
export const weekSays = ({ told, horseId, day }: Said, now: string): readonly string[] => {
  if (!told.days.includes(day)) return []
  const own = told.visits.filter((visit) => visit.horseId === horseId && visit.day === day)
  const work = own.filter(({ due }) => due === null)
  const isWorked = told.worked.some((one) => one.horseId === horseId && one.day === day)
  const isLate = work.some(({ start }) => start < now) && !isWorked
  return [
    ...own.map((visit) => `The week has it at ${visitWords(visit)}.`),
    ...(work.length === 0 && !isWorked ? ['The week leaves it alone today.'] : []),
    ...(work.length === 0 && isWorked
      ? ['It went otherwise: the week left it alone today, and it was worked.']
      : []),
    ...(isLate ? ['That hour has begun, and nothing is logged yet.'] : []),
  ]
}

/** What the week decided for this horse today. */
export const WeekSays = ({ horseId, day }: { horseId: string; day: Day }) => {
  const { data } = useQuery('visits', { from: day, until: day })
  const now = useNow(60_000)
  if (!data) return null
  const says = weekSays({ told: data, horseId, day }, clock(new Date(now).toISOString()))
  if (says.length === 0) return null
  return (
    <p className="no-print">
      {says.join(' ')}{' '}
      <Link to="/week" className="font-bold underline">
        Week
      </Link>
    </p>
  )
}

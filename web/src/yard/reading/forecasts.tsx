import type { Judging } from '@still-pine/contract'
import { addDays, count, daysBetween, percent } from '@still-pine/core/answer'
import { keptWords, scoreOf, type Scored } from '@still-pine/core/forecast'
import { Link } from 'react-router'
import { longDay, withDays } from '../../shared/words'

type Kept = Judging['forecasts'][number]

/** What came of a forecast: its day, or its horizon where that is over; nothing while both are still open. */
export const scoredOf = ({ on, horizonDays, days, cameOn }: Kept, today: string): Scored | null => {
  const isOver = addDays(on, horizonDays) < today
  if (cameOn === null && !isOver) return null
  return {
    draws: days.map((one) => one ?? horizonDays),
    came: cameOn === null ? horizonDays : Math.min(horizonDays, daysBetween(on, cameOn)),
  }
}

const cameWords = ({ on, horizonDays, cameOn }: Kept, today: string): string =>
  cameOn !== null
    ? `Came before it on ${longDay(cameOn)}.`
    : addDays(on, horizonDays) < today
      ? 'Did not come within what was looked ahead.'
      : 'Still to come.'

const FEWEST = 10

/** The forecasts that were shown, against what came of them. */
export const Forecasts = ({ kept, today }: { kept: readonly Kept[]; today: string }) => {
  if (kept.length === 0) return null
  const scored = kept.flatMap((one) => scoredOf(one, today) ?? [])
  const told = scoreOf(scored)
  return (
    <section className="flex max-w-4xl flex-col gap-2">
      <h2 className="text-2xl">Forecasts</h2>
      <p className="text-lg">
        {told === null
          ? `${count(scored.length, 'forecast')} of ${kept.length} can be held against what came; figures from ${FEWEST} on.`
          : `Of ${count(told.n, 'forecast')} ${percent(told.inside)} came within their middle eight of ten (between ${percent(told.insideBetween.low)} and ${percent(told.insideBetween.high)}, 19 times in 20). In the mean they were ${told.crpsDays.toFixed(1)} days off (CRPS), and the horse came ${Math.abs(told.middleOffDays).toFixed(1)} days ${told.middleOffDays < 0 ? 'sooner' : 'later'} than the middle.`}
      </p>
      <ul>
        {kept.slice(0, 20).map((one) => (
          <li
            key={`${one.horseId}${one.on}${one.name}${one.days.join()}`}
            className="border-t border-line py-1"
          >
            <Link className="font-bold underline" to={`/horses/${one.horseId}/reading`}>
              {one.horseName}
            </Link>{' '}
            {withDays(keptWords(one.name, one))} {cameWords(one, today)}
          </li>
        ))}
      </ul>
    </section>
  )
}

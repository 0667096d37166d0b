import type { PlannedDay } from '@still-pine/contract'
import { addDays, daysBetween } from '@still-pine/core/answer'
import { nearestGate } from '@still-pine/core/evidence'
import { noticesOf } from '@still-pine/core/readiness'
import { trackRows } from '../line'
import type { DayCount, Standing, ToldToday } from '../parts'
import { query } from '../query'

const countedOn = (counts: readonly DayCount[], horseId: string, day: string): number =>
  counts.find((count) => count.horseId === horseId && count.day === day)?.answers ?? 0

const plannedOf = ({ plan, arrangedMinutes }: ToldToday): PlannedDay | null =>
  plan && { rests: plan.rests, reason: plan.reason, minutes: arrangedMinutes ?? plan.minutes }

const NOT_YET: ToldToday = { plan: null, arrangedMinutes: null }

/** Today's running order with each horse's plan. */
export const today = query(
  'today',
  ['horses', 'toldToday', 'answersToday'],
  ({ horses, toldToday, answersToday }, { today: day }) => ({
    day,
    rows: horses
      .filter(({ archived }) => archived === null)
      .map((horse) => ({
        horse,
        plan: plannedOf(toldToday.get(horse.id) ?? NOT_YET),
        answersToday: countedOn(answersToday, horse.id, day),
      })),
    gone: horses.filter(({ archived }) => archived !== null),
  }),
)

const STALE_FROM_DAYS = 10
const WEEK_DAYS = 7

/** What of a horse is going stale, the longest left first. */
const goingStale = ({ program, views }: Standing, day: string) =>
  trackRows(views)
    .flatMap(({ step, side, view }) => {
      const since = view.lastDay === null ? 0 : daysBetween(view.lastDay, day)
      const matters = view.state === 'rusty' || (view.state === 'solid' && since >= STALE_FROM_DAYS)
      return matters ? [{ name: program.steps.find(({ key }) => key === step)!.name, side, days: since }] : []
    })
    .sort((a, b) => b.days - a.days)

/** Who worked in the last seven days, and what goes stale. */
export const week = query('week', ['standings', 'answersPerDay'], ({ standings, answersPerDay }, asked) => {
  const days = Array.from({ length: WEEK_DAYS }, (_, i) => addDays(asked.today, i - WEEK_DAYS + 1))
  return {
    days,
    rows: standings
      .filter(({ horse }) => horse.archived === null)
      .map((standing) => ({
        horseId: standing.horse.id,
        horseName: standing.name,
        days: days.map((day) => ({ day, answers: countedOn(answersPerDay, standing.horse.id, day) })),
        goingStale: goingStale(standing, asked.today),
      })),
  }
})

/** What each horse waits for. Since when a gate's tracks are held is told on the page of the gates. */
export const due = query(
  'due',
  ['standings', 'lastHandled'],
  ({ standings, lastHandled }, { today: on }) => ({
    day: on,
    horses: standings
      .filter(({ horse }) => horse.archived === null)
      .map(({ horse, program, views, facts }) => {
        const nearest = nearestGate(program, views, { facts, counted: new Map(), on })
        return {
          horseId: horse.id,
          horseName: horse.name,
          notices: [...noticesOf({ program, views, facts, on })],
          gate: nearest && {
            gate: nearest.gate,
            name: nearest.name,
            verdict: nearest.verdict,
            holding: nearest.holding,
            tracks: nearest.tracks,
          },
          lastBy: lastHandled.find(({ horseId }) => horseId === horse.id)?.personId ?? null,
        }
      }),
  }),
)

import type { Incident, SavedAnswer, Line } from '@still-pine/contract'
import { count, type Side } from '@still-pine/core/answer'
import {
  cardOf,
  rungName,
  stepServing,
  type Program,
  type Service,
  type Step,
} from '@still-pine/core/program'
import { ago, type TrackView } from '@still-pine/core/readiness'

export interface Foot {
  readonly name: string
  readonly serves: Extract<Service, 'front-foot' | 'hind-foot'>
  readonly side: Extract<Side, 'left' | 'right'>
}

/** In the order in which a farrier goes round. */
export const FEET: readonly Foot[] = [
  { name: 'Left front', serves: 'front-foot', side: 'left' },
  { name: 'Left hind', serves: 'hind-foot', side: 'left' },
  { name: 'Right front', serves: 'front-foot', side: 'right' },
  { name: 'Right hind', serves: 'hind-foot', side: 'right' },
]

const viewOf = (line: Line, step: Step | undefined, side: Foot['side']): TrackView | undefined =>
  line.tracks.find((track) => track.step === step?.key && track.side === side)?.view as TrackView | undefined

/** How far a foot may be taken today, and from what that is known. */
export const footWords = (line: Line, program: Program, foot: Foot): { to: string; known: string } => {
  const step = stepServing(program, foot.serves)
  const view = viewOf(line, step, foot.side)
  if (!step || !view || view.answers === 0 || view.lastDay === null)
    return { to: 'not handled yet: leave it', known: 'never asked' }
  const known = `${count(view.answers, 'answer')}, last ${ago(view.lastDay, line.day)}`
  if (view.holdsToRung === 0) return { to: 'cannot be relied on yet', known }
  const all = view.holdsToRung >= step.requiredRung ? 'all of it: ' : 'up to: '
  return { to: `${all}${rungName(step, view.holdsToRung)}`, known }
}

/** Incidents that somebody at its feet should know of. */
const AT_THE_FEET: readonly Incident['kind'][] = ['kick', 'strike', 'pull-back', 'rear', 'bite']

const LOOKED_BACK = 40

const mostOften = (words: readonly string[]): readonly string[] => {
  const counts = new Map<string, number>()
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1)
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([word, n]) => `${word}${n > 1 ? ` (${n} times lately)` : ''}`)
}

/** What to avoid: what went wrong lately at its feet, and what it once did. */
export const avoidWords = (
  answers: readonly SavedAnswer[],
  incidents: readonly Incident[],
  day: string,
): readonly string[] => {
  const lately = answers.filter(({ voided }) => !voided).slice(0, LOOKED_BACK)
  const faults = mostOften(lately.flatMap(({ fault }) => fault ?? []))
  const tooLate = lately.filter(({ ending }) => ending === 'left-moving').length
  const done = incidents
    .filter(({ kind }) => AT_THE_FEET.includes(kind))
    .map(
      ({ kind, on, before }) => `${kind} ${ago(on, day)}${before ? ` (${before.replace(/\.$/, '')})` : ''}`,
    )
  return [
    ...done,
    ...faults,
    ...(tooLate > 0
      ? [`letting go while the foot pulls: it was let go so ${count(tooLate, 'time')} lately`]
      : []),
  ]
}

/** A side whose chance is better by so much is the better one to begin on. */
const BETTER_BY = 0.05

/** What helps: the school's own way of asking and paying, and the better side to begin on. */
export const helpWords = (line: Line, program: Program): readonly string[] => {
  const front = stepServing(program, 'front-foot')
  const chanceOn = (side: Foot['side']): number => viewOf(line, front, side)?.chance ?? 0
  const better = chanceOn('right') > chanceOn('left') ? 'right' : 'left'
  const isUneven = Math.abs(chanceOn('right') - chanceOn('left')) >= BETTER_BY
  const begin = isUneven ? [`Begin on its ${better}: it is the better side.`] : []
  const card = front ? [cardOf(program, front.key)] : []
  return [
    ...begin,
    ...card.flatMap(({ how, inThisSchool }) => [how, inThisSchool]),
    `When it gives: ${program.manner.reward.words.toLowerCase()}`,
    `If it takes fright: ${program.manner.fright.words.toLowerCase()}`,
  ].filter(Boolean)
}

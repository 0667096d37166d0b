import { chancePercent, count, daysBetween, type Day } from '../answer'
import { rungName } from '../program'
import { ago, chanceInWords, chancesAt, waitsFor, WORK_CHANCE, type TrackView } from '../readiness'
import type { Purpose } from './burst'
import type { Candidate, Way } from './ways'

const weakest = ({ open }: Candidate): TrackView =>
  [...open.tracks].sort((a, b) => a.view.chance * a.view.calmChance - b.view.chance * b.view.calmChance)[0]!
    .view

/** How likely the less likely side is to be light at the rung it opens at. */
const chanceAsked = ({ open }: Candidate): number =>
  Math.min(...open.tracks.map(({ view, rung }) => chancesAt(view, rung).chance))

/** The chance told is that of the rung the step needs, which may be harder than the one asked today. */
const atItsRung = ({ open: { step, tracks } }: Candidate): string =>
  tracks.some(({ rung }) => rung < step.requiredRung) ? ' at the rung it needs' : ''

/** What the path wants of it: "The First saddle gate asks for it; about 3 work days to go, and 8 days of later steps that need it". */
const pathReason = ({ goal }: Candidate): string => {
  const whose = goal.gate === null ? 'No gate asks for it' : `On the way to the ${goal.gate.name} gate`
  const days = Math.max(1, Math.round(goal.days))
  const behind = Math.round(goal.behind)
  return `${whose}; about ${count(days, 'work day')} to go${behind > 0 ? `, and ${count(behind, 'day')} of later steps that need it` : ''}`
}

const checkReason = (candidate: Candidate, on: Day): string => {
  const { state, goal } = candidate
  const view = weakest(candidate)
  const since = view.lastDay === null ? 0 : daysBetween(view.lastDay, on)
  if (goal.due !== null)
    return `The ${goal.due.name} gate wants a first ask of it${view.lastDay ? `; last asked ${ago(view.lastDay, on)}` : ''}`
  if (state === 'rusty') return `Rusty: only time has worn it, last asked ${ago(view.lastDay!, on)}`
  if (state === 'solid')
    return since >= 7
      ? `Solid, and not asked for ${count(since, 'calendar day')}: a first ask tells`
      : `Solid${goal.gate ? `, and the ${goal.gate.name} gate stands on it` : ''}: a first ask tells the most`
  return goal.must === 'met'
    ? `Nearly met, ${chancePercent(view.chance)} from ${count(view.answers, 'answer')}: a first ask tells the most`
    : `Nearly Solid, ${chanceInWords(view)}, from ${count(view.answers, 'answer')}: a first ask tells the most`
}

export const stateReason = (candidate: Candidate, purpose: Purpose, on: Day): string => {
  const view = weakest(candidate)
  switch (purpose) {
    case 'check':
      return checkReason(candidate, on)
    case 'close':
      return `To finish with something good: ${chancePercent(chanceAsked(candidate))} chance of a light answer`
    case 'mend':
      return `Slipped: it was Solid and is not now${waitsFor(view) === null ? '' : ` (${waitsFor(view)})`}; last asked ${view.lastDay ? ago(view.lastDay, on) : 'never'}`
    case 'begin':
      return `New, and all it needs is met. ${pathReason(candidate)}`
    case 'work':
      return `${chancePercent(view.chance)} chance of a light answer${atItsRung(candidate)}, from ${count(view.answers, 'answer')}. ${pathReason(candidate)}`
  }
}

export const rungReason = ({ open, top, topRule }: Candidate): string => {
  const { step, heldBy, tracks } = open
  const lowest = Math.min(...tracks.map(({ rung }) => rung))
  const at = `opens at rung ${lowest}, “${rungName(step, lowest)}”`
  if (topRule !== null && lowest === top) return `${at}: ${topRule}`
  if (heldBy && lowest === heldBy.from - 1) return `${at}: shut above it, ${heldBy.words}`
  const view = tracks.find(({ rung }) => rung === lowest)!.view
  if (view.answers === 0) return `${at}: the first time starts at the bottom`
  if (lowest === step.requiredRung) return `${at}: where it has to be`
  if (lowest > step.requiredRung) return `${at}: the path asks for it further up`
  if (lowest < view.workRung) return `${at}: the last day ended hard, so one rung smaller`
  return chancesAt(view, lowest).chance >= WORK_CHANCE
    ? `${at}: the hardest that is likely to go well`
    : `${at}: small enough to find out`
}

/** The rule that shaped a burst most, or nothing. */
export const ruleFor = ({ open }: Candidate, way: Way, visit: number): string | null => {
  if (visit > 0) return 'A burst ends after two minutes and comes back instead of dragging on'
  if (way.kind === 'learn' && way.visits > 1) return 'Two minutes, then something else, then back'
  if (way.kind === 'learn' && open.step.kind === 'accept')
    return 'A light ask after it, so that quiet does not become numb'
  if (way.kind === 'check') return 'One or two first asks open a session'
  return null
}

/** Why an open step is not in the plan. */
export const leftOutWords = ({ ways }: Candidate, learning: number, mostLearning: number): string => {
  const first = ways.find(({ kind }) => kind === 'learn')?.first ?? []
  if (first.length > 0) return `wants ${first.map(({ name }) => name.toLowerCase()).join(', ')} checked first`
  return learning >= mostLearning
    ? `${mostLearning} learning steps are enough for one session`
    : 'no minutes left for it'
}

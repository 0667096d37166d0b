import { daysBetween, type Day } from '../answer'
import { firstSide, isYoung, openSteps, shareAsks, type OpenStep } from '../plan'
import { stepOf, type Gate, type Program } from '../program'
import {
  gateVerdict,
  sideViews,
  stepState,
  type Facts,
  type State,
  type TrackView,
  type Views,
} from '../readiness'
import type { DayToPlan } from './rearing'
import type { DayOfWork } from './work-day'

type Task = 'check' | 'mend' | 'work' | 'begin'

const BURST_AND_CHANGE_MINUTES = 3
const SESSION_MINUTES = 25
const YEARLING_MINUTES = 15

const MOST_CHECKS = 2
const MOST_GATE_CHECKS = 4
const MOST_LEARNING = 4
const MOST_NEW = 2
const MOST_VISITS = 2
const LEARNING_ASKS = 6
const HOLD_ASKS = 2
const LOOK_AGAIN_DAYS = 7
const STIFFER_SHARE = 0.6

interface Job {
  readonly open: OpenStep
  readonly task: Task
  readonly forGate: boolean
}

const worst = (open: OpenStep): TrackView =>
  [...open.tracks].sort((a, b) => a.view.chance * a.view.calmChance - b.view.chance * b.view.calmChance)[0]!
    .view

const daysSinceAsked = (open: OpenStep, on: Day): number =>
  Math.max(
    ...open.tracks.map(({ view }) => (view.lastDay === null ? Infinity : daysBetween(view.lastDay, on))),
  )

const taskFor = (open: OpenStep, state: State, on: Day): Task | null => {
  if (state === 'rusty') return 'check'
  if (state === 'solid') return daysSinceAsked(open, on) >= LOOK_AGAIN_DAYS ? 'check' : null
  if (state === 'slipped') return 'mend'
  return open.tracks.every(({ view }) => view.answers === 0) ? 'begin' : 'work'
}

const isDoneBelowGate = ({ heldBy, tracks }: OpenStep): boolean =>
  heldBy !== null && tracks.every(({ view }) => view.holdsToRung >= heldBy.from - 1)

const isBegun = (program: Program, views: Views, { guards }: Gate): boolean => {
  const step = stepOf(program, guards.kind === 'step' ? guards.step : guards.after)
  return step === undefined || ['rusty', 'solid'].includes(stepState(sideViews(views, step)))
}

/** What the first gate that only waits for first asks wants asked. */
const wantedByGate = (
  program: Program,
  views: Views,
  { facts, on }: { facts: Facts; on: Day },
): ReadonlySet<string> => {
  for (const gate of program.gates) {
    if (isBegun(program, views, gate)) continue
    const { due, tracks } = gateVerdict(program, gate, { views, facts, on })
    const waits = tracks.length > 0 && tracks.every(({ holds, state }) => holds || state === 'rusty')
    if (waits && due.length > 0) return new Set(due.map(({ step }) => step))
  }
  return new Set()
}

const jobs = (open: readonly OpenStep[], wanted: ReadonlySet<string>, on: Day): readonly Job[] =>
  open.flatMap((step): Job[] => {
    if (wanted.has(step.step.key)) return [{ open: step, task: 'check', forGate: true }]
    const task = taskFor(step, stepState(step.tracks), on)
    if (task === null || (task === 'work' && isDoneBelowGate(step))) return []
    return [{ open: step, task, forGate: false }]
  })

const ofTask = (list: readonly Job[], task: Task, most: number): readonly Job[] =>
  list.filter((job) => job.task === task).slice(0, most)

/** What is due first, then what slipped, what is coming, and a little that is new, in the order of the path. */
const chosen = (list: readonly Job[], on: Day): readonly Job[] => {
  const due = [...list]
    .filter(({ task }) => task === 'check')
    .sort((a, b) => daysSinceAsked(b.open, on) - daysSinceAsked(a.open, on))
  const forGate = due.filter((job) => job.forGate).slice(0, MOST_GATE_CHECKS)
  const checks = [...forGate, ...due.filter((job) => !job.forGate)].slice(
    0,
    Math.max(MOST_CHECKS, forGate.length),
  )
  const learning = [...ofTask(list, 'mend', MOST_LEARNING), ...ofTask(list, 'work', MOST_LEARNING)].slice(
    0,
    MOST_LEARNING,
  )
  const room = learning.length >= MOST_LEARNING ? 1 : MOST_NEW
  return [...checks, ...learning, ...ofTask(list, 'begin', room)]
}

const asksFor = ({ open, task }: Job): number => {
  const sides = open.tracks.length
  const missing = Math.max(...open.tracks.map(({ view }) => view.placesMissing.length))
  if (task === 'check') return sides * Math.max(1, worst(open).asksNeeded ?? 1, missing)
  return open.step.kind === 'hold' ? HOLD_ASKS * sides : LEARNING_ASKS
}

/** Every job once, then back to the learning ones, never the same twice running. */
const fitInto = (list: readonly Job[], most: number): readonly Job[] => {
  const session = list.slice(0, most)
  for (let visit = 1; visit < MOST_VISITS; visit++)
    for (const job of list) {
      if (job.task === 'check') continue
      const isTwiceRunning = session.at(-1)?.open.step.key === job.open.step.key && list.length > 1
      if (session.length < most && !isTwiceRunning) session.push(job)
    }
  return session
}

/**
 * A day as a hand without arithmetic would have it: what is due, then down the path in its order, the stiffer side
 * first. The demo yard's past was worked so, and a plan that reckons must do better than it.
 */
export const plainDay = (
  program: Program,
  views: Views,
  { facts, on }: Pick<DayToPlan, 'facts' | 'on'>,
): DayOfWork => {
  const { open } = openSteps(program, views, { facts, on })
  const minutes = isYoung(facts, on) ? YEARLING_MINUTES : SESSION_MINUTES
  const list = chosen(jobs(open, wantedByGate(program, views, { facts, on }), on), on)
  return {
    day: on,
    bursts: fitInto(list, Math.max(1, Math.floor(minutes / BURST_AND_CHANGE_MINUTES))).map((job) => ({
      step: job.open.step.key,
      sides: shareAsks(
        job.open.tracks,
        { side: firstSide(job.open.tracks, on).side, share: STIFFER_SHARE },
        asksFor(job),
      ),
    })),
  }
}

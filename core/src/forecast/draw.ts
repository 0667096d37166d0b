import type { Day } from '../answer'
import { wholeMonths } from '../body'
import { isEnough, rungAfter } from '../herd'
import { quantile, type Model, type Normal } from '../judgement'
import type { Learner, Part, SidePlan } from '../plan'
import type { Step } from '../program'
import { askOnce, trueStart, type Future, type Given, type OwnNature } from './future'
import { handsDay, isBefore, waitedFor, type Morning } from './hand'
import type { JudgeTable } from './judge-table'
import { luckOf, numberOf, type Luck } from './luck'
import type { Path } from './path'
import type { PlannedDay } from './planned-days'
import { isSolidTonight, morningOf } from './seen'
import { copyOf, setTo, type Known, type KnownTrack, type Standing } from './standing'
import type { Drawn } from './summary'

/** Everything that is the same in every draw. */
export interface Setup {
  readonly path: Path
  readonly model: Model
  readonly judge: JudgeTable
  readonly learner: Learner
  readonly own: Readonly<Record<keyof OwnNature, Normal>>
  readonly newTracks: { readonly abilitySd: number; readonly calmSd: number }
  readonly known: ReadonlyMap<number, KnownTrack>
  readonly base: Standing
  readonly planned: readonly PlannedDay[]
  readonly minutes: number
  readonly born: Day | null
  readonly seed: number
  readonly dayNames: Map<number, Day>
}

export interface DrawnFuture extends Drawn {
  readonly own: OwnNature
  /** The tracks that were last to hold, by their numbers; none where it stood before the gate at once, or never did. */
  readonly last: readonly number[]
}

const ownOf = ({ own }: Setup, luck: Luck): OwnNature => {
  const drawn = ({ mean, sd }: Normal, n: number): number => mean + sd * luck.normal(0, n, 'own')
  return {
    talent: drawn(own.talent, 0),
    calmTalent: drawn(own.calmTalent, 1),
    logSpeed: drawn(own.logSpeed, 2),
    stiffness: drawn(own.stiffness, 3),
  }
}

const drawnFrom = ({ mean, sd, grid }: Known, share: number, normal: number): number =>
  grid ? quantile(Float64Array.from(grid), share) : mean + sd * normal

/** What the horse truly can on the tracks it was asked: drawn from what is believed of them. */
const placeKnown = (future: Future, known: Setup['known']): void => {
  const { at, path, tickets, luck, model, own } = future
  for (const [i, { ability, calm }] of known) {
    const ticket = tickets[i]!
    at.can[i] = drawnFrom(ability, luck.between(ticket, 0, 'start'), luck.normal(ticket, 0, 'start'))
    at.calm[i] = drawnFrom(calm, luck.between(ticket, 1, 'start'), luck.normal(ticket, 1, 'start'))
    at.canStart[i] = trueStart(future, path.tracks[i]!)
    at.calmStart[i] = model.priorCalm.mean + own.calmTalent
  }
}

interface Burst {
  readonly step: Step
  readonly track: number
  readonly plan: SidePlan
  readonly day: number
}

/** One side of a burst: a rung smaller after two hard answers, a rung up after a thought, left when three go well. */
const runSide = (future: Future, { step, track, plan, day }: Burst): void => {
  const all: Given[] = []
  let { rung } = plan
  for (let k = 1; k <= plan.asks && !(isEnough(all) && k > plan.places.length); k++) {
    const isRound = step.allRound
    const given = askOnce(future, {
      track,
      rung,
      k,
      day,
      place: isRound ? (plan.places[k - 1] ?? null) : null,
      moving: isRound && k % 2 === 0,
    })
    all.push(given)
    rung = rungAfter(all, rung, step)
  }
}

const work = (future: Future, parts: readonly Part[], day: number): void => {
  const { path } = future
  const numbers = new Map(path.steps.map(({ step }, i) => [step.key, i]))
  for (const { step: key, way, visit } of parts) {
    const { step, tracks } = path.steps[numbers.get(key)!]!
    for (const plan of way.sides[visit]!) {
      const track = tracks.find((i) => path.tracks[i]!.side === plan.side)!
      runSide(future, { step, track, plan, day })
    }
  }
  for (const [i] of path.tracks.entries())
    if (future.at.lastDay[i] === day) future.at.solidAtEnd[i] = Number(isSolidTonight(future, i, day))
}

const morning = (setup: Setup, future: Future, { at: day, day: on, load, helper }: PlannedDay): Morning => ({
  path: setup.path,
  learner: setup.learner,
  ...morningOf(future, { day, on }),
  on,
  months: setup.born === null ? null : wholeMonths(setup.born, on),
  load,
  helper,
  minutes: setup.minutes,
})

/** A horse drawn for one future, on the first morning. */
export const futureOf = (setup: Setup, draw: number, at: Standing = copyOf(setup.base)): Future => {
  const { path, model, judge, newTracks, dayNames } = setup
  setTo(at, setup.base)
  const luck = luckOf(setup.seed, draw)
  const own = ownOf(setup, luck)
  const future: Future = {
    path,
    model,
    judge,
    law: { ...model.law, speed: model.law.speed * Math.exp(own.logSpeed) },
    own,
    newTracks,
    tickets: path.tracks.map(({ key }) => numberOf(key)),
    luck,
    at,
    dayNames,
  }
  placeKnown(future, setup.known)
  return future
}

/** One made-up future: the horse drawn, worked on every planned day by the hand, until it stands before the gate. */
export const drawFuture = (setup: Setup, draw: number, at?: Standing): DrawnFuture => {
  const future = futureOf(setup, draw, at)
  const { own } = future
  const gate = setup.path.gates.at(-1)!
  let workDays = 0
  let last: readonly number[] = []
  for (const planned of setup.planned) {
    const today = morning(setup, future, planned)
    if (isBefore(today, gate)) return { days: planned.at, workDays, own, last }
    last = waitedFor(today, gate)
    const parts = handsDay(today)
    if (parts.length === 0) continue
    work(future, parts, planned.at)
    workDays += 1
  }
  return { days: null, workDays, own, last: [] }
}

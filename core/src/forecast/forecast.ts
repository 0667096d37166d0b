import type { Day, Side } from '../answer'
import { modelFor, type Model, type Normal } from '../judgement'
import type { Program, Step } from '../program'
import { drawFuture, type DrawnFuture, type Setup } from './draw'
import { judgeTable, type JudgeTable } from './judge-table'
import { pathTo, type Path, type Way } from './path'
import { plannedDays, type Planned, type Standing as HowItStands, type WorkPlan } from './planned-days'
import { copyOf, standingAt, type KnownTrack } from './standing'
import { differenceOf, rankCorrelation, summaryOf, type Difference, type Summary } from './summary'

/** What a forecast is made of: the horse as it is believed to be, and how it is to be worked. */
export interface ForecastAsked {
  readonly program: Program
  readonly gate: string
  readonly from: Day
  readonly horizonDays: number
  readonly draws: number
  readonly seed: number
  readonly born: Day | null
  readonly by: Day | null
  readonly block: string
  readonly heldWithoutEnd: boolean
  readonly talent: Normal
  readonly calmTalent: Normal
  readonly logSpeed: Normal
  readonly stiffness: Normal
  readonly newTracks: { readonly abilitySd: number; readonly calmSd: number }
  readonly tracks: readonly KnownTrack[]
  readonly loadDays: readonly Day[]
  readonly plan: WorkPlan
  readonly whatIfs: readonly WhatIf[]
}

export interface WhatIf {
  readonly id: string
  readonly plan: Partial<WorkPlan>
}

export interface Forecast extends Summary {
  readonly holds: readonly { readonly step: string; readonly side: Side; readonly lastInShare: number }[]
  readonly moves: readonly { readonly of: Moving; readonly rankCorrelation: number }[]
  readonly whatIfs: readonly ForecastIf[]
}

export type Moving = 'talent' | 'calmTalent' | 'logSpeed' | 'stiffness'

export type ForecastIf =
  | (Summary & { readonly id: string; readonly differenceDays: Difference })
  | { readonly id: string; readonly refused: string }

/** Of steps to the same end the one that was asked most, else the first of the path. */
const wayOf =
  (tracks: readonly KnownTrack[]): Way =>
  (steps) => {
    const answers = ({ key }: Step): number =>
      tracks.filter(({ step }) => step === key).reduce((sum, one) => sum + one.answers, 0)
    return steps.reduce((best, step) => (answers(step) > answers(best) ? step : best))
  }

/** The path of a forecast: what stands before its gate, by the ways this horse was asked. */
export const pathOf = ({ program, gate, tracks }: Pick<ForecastAsked, 'program' | 'gate' | 'tracks'>): Path =>
  pathTo(program, gate, wayOf(tracks))

const tables = new WeakMap<Model, JudgeTable>()

/** The tables of a judge are made once; a worker that is kept warm has them at hand. */
const tableFor = (model: Model): JudgeTable => {
  const table = tables.get(model) ?? judgeTable(model)
  tables.set(model, table)
  return table
}

const calendarOf = (asked: ForecastAsked, path: Path, plan: WorkPlan): Planned => {
  const standing: HowItStands = {
    born: asked.born,
    block: asked.block,
    heldWithoutEnd: asked.heldWithoutEnd,
    needsAge: path.gates.at(-1)!.leastMonths > 0,
    loadDays: asked.loadDays,
  }
  return plannedDays(standing, plan, asked)
}

const setupWith = (
  asked: ForecastAsked,
  path: Path,
  plan: WorkPlan,
): Setup | { readonly refused: string } => {
  const planned = calendarOf(asked, path, plan)
  if (planned.refused !== null) return { refused: planned.refused }
  const model = modelFor(asked.program)
  const { talent, calmTalent, logSpeed, stiffness, newTracks, tracks, from } = asked
  const known = path.tracks.flatMap(({ step, side }, i) => {
    const { key } = path.steps[step]!.step
    const found = tracks.find((one) => one.step === key && one.side === side)
    return found && found.answers > 0 && found.lastDay !== null ? [[i, found] as const] : []
  })
  return {
    path,
    model,
    judge: tableFor(model),
    learner: { model, law: { ...model.law, speed: model.law.speed * Math.exp(logSpeed.mean) } },
    own: { talent, calmTalent, logSpeed, stiffness },
    newTracks,
    known: new Map(known),
    base: standingAt(path, { model, talent, calmTalent, logSpeed }, { tracks, from }),
    planned: planned.days,
    minutes: plan.minutes,
    born: asked.born,
    seed: asked.seed,
    dayNames: new Map(),
  }
}

/** What is the same in every draw of a forecast, or why there is none; `plan` is another than the one asked for. */
export const setupOf = (
  asked: ForecastAsked,
  plan: Partial<WorkPlan> = {},
): Setup | { readonly refused: string } => setupWith(asked, pathOf(asked), { ...asked.plan, ...plan })

/** A slice of the draws: the same whoever makes it, and in whatever order. */
export const drawsOf = (
  setup: Setup,
  { first, count }: { first: number; count: number },
): readonly DrawnFuture[] => {
  const at = copyOf(setup.base)
  return Array.from({ length: count }, (_, i) => drawFuture(setup, first + i, at))
}

const MOST_HOLDS = 5

const holdsOf = (path: Path, draws: readonly DrawnFuture[]): Forecast['holds'] => {
  const times = new Map<number, number>()
  for (const { last } of draws) for (const track of last) times.set(track, (times.get(track) ?? 0) + 1)
  return [...times]
    .toSorted(([a, more], [b, less]) => less - more || a - b)
    .slice(0, MOST_HOLDS)
    .map(([track, n]) => {
      const { step, side } = path.tracks[track]!
      return { step: path.steps[step]!.step.key, side, lastInShare: n / draws.length }
    })
}

const MOVING: readonly Moving[] = ['talent', 'calmTalent', 'logSpeed', 'stiffness']

const movesOf = (draws: readonly DrawnFuture[], horizonDays: number): Forecast['moves'] =>
  MOVING.map((of) => ({
    of,
    rankCorrelation: rankCorrelation(
      draws.map(({ own }) => own[of]),
      draws.map(({ days }) => days ?? horizonDays),
    ),
  }))

/** What is told of draws that were made, and of each what-if beside them. */
export const forecastFrom = (
  asked: ForecastAsked,
  { path, draws }: { path: Path; draws: readonly DrawnFuture[] },
  whatIfs: readonly { readonly id: string; readonly draws: readonly DrawnFuture[] | string }[] = [],
): Forecast => ({
  ...summaryOf(draws, asked, asked.by),
  holds: holdsOf(path, draws),
  moves: movesOf(draws, asked.horizonDays),
  whatIfs: whatIfs.map(({ id, draws: others }) =>
    typeof others === 'string'
      ? { id, refused: others }
      : {
          id,
          ...summaryOf(others, asked, asked.by),
          differenceDays: differenceOf(draws, others, asked.horizonDays),
        },
  ),
})

/** When a horse stands before a gate as it is planned to be worked, told from many made-up futures of it. */
export const forecast = (asked: ForecastAsked): Forecast | { readonly refused: string } => {
  const setup = setupOf(asked)
  if ('refused' in setup) return setup
  const all = { first: 0, count: asked.draws }
  const whatIfs = asked.whatIfs.map(({ id, plan }) => {
    const other = setupOf(asked, plan)
    return { id, draws: 'refused' in other ? other.refused : drawsOf(other, all) }
  })
  return forecastFrom(asked, { path: setup.path, draws: drawsOf(setup, all) }, whatIfs)
}

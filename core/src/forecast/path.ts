import type { Side } from '../answer'
import { isLoad } from '../counters'
import { leastMonthsAt } from '../permit'
import {
  gatesGuarding,
  rungNeeded,
  sidesOf,
  stepsMeeting,
  type Gate,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import { trackKey, type TrackKey } from '../readiness'

/** A step of the path by its number, and the rung it is needed at. */
export interface Needed {
  readonly step: number
  readonly rung: number
}

/** What must hold before a rung may be asked. */
export interface Opening {
  readonly needs: readonly Needed[]
  /** Gates on the way, by their numbers. */
  readonly gates: readonly number[]
  readonly leastMonths: number
  readonly isLoad: boolean
}

export interface PathGate {
  readonly key: string
  readonly solid: readonly Needed[]
  readonly met: readonly Needed[]
  readonly leastMonths: number
  /** The step that shows, once it holds, that the gate is behind the horse; nothing where it is not on the path. */
  readonly opens: number | null
}

export interface PathStep {
  readonly step: Step
  /** Its tracks by their numbers: left and right, or one. */
  readonly tracks: readonly number[]
  /** The rung the path asks for, and whether it must be Solid there or only met. */
  readonly rung: number
  readonly must: 'solid' | 'met'
  /** By rung, the easiest first. */
  readonly openings: readonly Opening[]
  /** The gates that ask for it, nearest first. */
  readonly askedBy: readonly number[]
}

export interface PathTrack {
  readonly key: TrackKey
  readonly step: number
  readonly side: Side
  /** Tracks from which ability carries over, each source with its share. */
  readonly sources: readonly { readonly tracks: readonly number[]; readonly share: number }[]
}

/** Everything that must hold before a gate, in numbers for the many draws of a forecast. */
export interface Path {
  readonly program: Program
  /** In the order of the program; the last is the one that is forecast. */
  readonly gates: readonly PathGate[]
  readonly steps: readonly PathStep[]
  readonly tracks: readonly PathTrack[]
}

/** Of steps that reach the same end, the one this horse goes by. */
export type Way = (steps: readonly Step[]) => Step

interface Asked {
  readonly step: Step
  readonly rung: number
  readonly must: 'solid' | 'met'
}

interface Walk {
  readonly program: Program
  readonly way: Way
}

const stepMeeting = ({ program, way }: Walk, need: NeedRef): Step | undefined => {
  const steps = stepsMeeting(program, need)
  return steps.length > 1 ? way(steps) : steps[0]
}

/** What a gate asks for, with all that must be met on the way to it and the gates that are passed. */
const askedBy = (
  walk: Walk,
  gate: Gate,
): { asked: ReadonlyMap<string, Asked>; passed: ReadonlySet<Gate> } => {
  const asked = new Map<string, Asked>()
  const passed = new Set<Gate>()
  const ask = (step: Step, rung: number, must: Asked['must']): void => {
    const known = asked.get(step.key)
    if (known && rung <= known.rung && (must === 'met' || known.must === 'solid')) return
    asked.set(step.key, {
      step,
      rung: Math.max(rung, known?.rung ?? 0),
      must: known?.must === 'solid' ? 'solid' : must,
    })
    for (const need of step.needs) if ((need.fromRung ?? 1) <= rung) meet(need, 'met')
    for (const guard of gatesGuarding(walk.program, step.key, rung))
      if (guard !== gate && !guard.ticked) pass(guard)
  }
  const meet = (need: NeedRef, must: Asked['must']): void => {
    const step = stepMeeting(walk, need)
    if (step) ask(step, rungNeeded(need, step), must)
  }
  const pass = (one: Gate): void => {
    if (passed.has(one)) return
    passed.add(one)
    for (const need of one.solid) meet(need, 'solid')
    for (const need of one.met) meet(need, 'met')
  }
  pass(gate)
  return { asked, passed }
}

const openingOf = (
  { walk, gates, numberOf }: { walk: Walk; gates: readonly Gate[]; numberOf: ReadonlyMap<string, number> },
  step: Step,
  rung: number,
): Opening => ({
  needs: neededFrom(
    { walk, numberOf },
    step.needs.filter(({ fromRung }) => (fromRung ?? 1) <= rung),
  ),
  gates: gatesGuarding(walk.program, step.key, rung).flatMap((gate) => {
    const number = gates.indexOf(gate)
    return number < 0 ? [] : [number]
  }),
  leastMonths: leastMonthsAt(step, rung),
  isLoad: isLoad(walk.program, step.key, rung),
})

const neededFrom = (
  { walk, numberOf }: { walk: Walk; numberOf: ReadonlyMap<string, number> },
  needs: readonly NeedRef[],
): readonly Needed[] =>
  needs.flatMap((need) => {
    const step = stepMeeting(walk, need)
    const number = step && numberOf.get(step.key)
    return step === undefined || number === undefined ? [] : [{ step: number, rung: rungNeeded(need, step) }]
  })

const tracksOf = (steps: readonly Step[]): readonly Omit<PathTrack, 'sources'>[] =>
  steps.flatMap((step, number) =>
    sidesOf(step).map((side) => ({ key: trackKey(step.key, side), step: number, side })),
  )

/** The same side of a sided source, both of it for a step without sides, and one without sides for either. */
const sourcesOf = (
  program: Program,
  tracks: readonly Omit<PathTrack, 'sources'>[],
  { key, side }: { key: string; side: Side },
): PathTrack['sources'] =>
  program.carryOver
    .filter(({ to }) => to === key)
    .map(({ from, share }) => ({
      share,
      tracks: [...tracks.keys()].filter((i) => {
        const track = tracks[i]!
        const isFrom = track.key === trackKey(from, track.side)
        return isFrom && (side === 'none' || track.side === 'none' || track.side === side)
      }),
    }))

/**
 * The path of one horse to a gate: the steps that gate asks for and those before them, every rung with what must hold
 * before it is asked. `way` says which of several steps to the same end counts for this horse.
 */
export const pathTo = (program: Program, gateKey: string, way: Way): Path => {
  const walk = { program, way }
  const last = program.gates.find(({ key }) => key === gateKey)!
  const { asked, passed } = askedBy(walk, last)
  const gates = [...program.gates.filter((gate) => gate !== last && passed.has(gate)), last]
  const steps = program.steps.filter(({ key }) => asked.has(key))
  const numberOf = new Map(steps.map(({ key }, i) => [key, i]))
  const tracks = tracksOf(steps)
  const wanted = gates.map((gate) => askedBy(walk, gate).asked)
  return {
    program,
    gates: gates.map(({ key, solid, met, stops, leastMonths = 0, guards }) => ({
      key,
      solid: neededFrom({ walk, numberOf }, solid),
      met: neededFrom({ walk, numberOf }, met),
      leastMonths: stops.includes('age') ? leastMonths : 0,
      opens: numberOf.get(guards.kind === 'step' ? guards.step : guards.after) ?? null,
    })),
    steps: steps.map((step, number) => ({
      step,
      tracks: [...tracks.keys()].filter((i) => tracks[i]!.step === number),
      rung: asked.get(step.key)!.rung,
      must: asked.get(step.key)!.must,
      openings: step.rungs.map((_, i) => openingOf({ walk, gates, numberOf }, step, i + 1)),
      askedBy: [...gates.keys()].filter((i) => wanted[i]!.has(step.key)),
    })),
    tracks: tracks.map((track) => ({
      ...track,
      sources: sourcesOf(program, tracks, { key: steps[track.step]!.key, side: track.side }),
    })),
  }
}

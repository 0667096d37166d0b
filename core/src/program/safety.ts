import { CATALOGUE } from './catalogue'
import { exposuresAt, type Exposure, type RungExposures } from './exposure'
import type { Flaw } from './flaw'
import { firstGuarded } from './first-guarded'
import { GATES, type Gate } from './gate'
import { markOf, marksOf, rungAt } from './ladder'
import { dataOfOwn } from './own-step'
import type { RungsData } from './step-data'
import { stepOf, type Program } from './program'
import { SCHOOLS } from './schools'
import type { Step } from './step'

const shippedStep = (key: string): Step | undefined => CATALOGUE.find((step) => step.key === key)

const both = (a: readonly Exposure[], b: readonly Exposure[]): readonly Exposure[] =>
  a.filter((one) => b.includes(one))

const either = (a: readonly Exposure[], b: readonly Exposure[]): readonly Exposure[] => [
  ...new Set([...a, ...b]),
]

/** What stands below and above on the path: the last rung of the step before and the first of the one after it. */
const neighbours = (
  program: Pick<Program, 'steps'>,
  step: Pick<Step, 'key' | 'stage'>,
): readonly (readonly Exposure[])[] => {
  const at = program.steps.findIndex(({ key }) => key === step.key)
  const ofStage = (other: Step | undefined): other is Step => other?.stage === step.stage
  const [before, after] = [program.steps[at - 1], program.steps[at + 1]]
  return [
    ...(ofStage(before) ? [exposuresAt(before, before.rungs.length)] : []),
    ...(ofStage(after) ? [exposuresAt(after, 1)] : []),
  ]
}

interface Bounds {
  /** No school may expose to less than this there. */
  readonly least: readonly Exposure[]
  /** What is proposed where nobody has said: everything the neighbours expose to. */
  readonly proposed: readonly Exposure[]
}

const SAME = (exposed: readonly Exposure[]): Bounds => ({ least: exposed, proposed: exposed })

const NONE = SAME([])

/** A rung between two others is at least what both are, and what the easier one is where they have nothing in common. */
const between = (easier: readonly Exposure[], harder: readonly Exposure[]): Bounds => {
  const shared = both(easier, harder)
  return { least: shared.length > 0 ? shared : easier, proposed: either(easier, harder) }
}

const onShippedLadder = (shipped: Step, mark: number): Bounds => {
  const last = shipped.rungs.length
  if (mark >= last) return SAME(exposuresAt(shipped, last))
  if (Number.isInteger(mark) && mark >= 1) return SAME(exposuresAt(shipped, mark))
  if (mark < 1) return { least: [], proposed: exposuresAt(shipped, 1) }
  return between(exposuresAt(shipped, Math.floor(mark)), exposuresAt(shipped, Math.ceil(mark)))
}

/** What a rung must expose to, and what is proposed for it: from the ladder that ships, or from the steps beside it. */
export const exposureBounds = (
  program: Pick<Program, 'steps'>,
  step: Pick<Step, 'key' | 'stage' | 'rungs' | 'marks'>,
  rung: number,
): Bounds => {
  const shipped = shippedStep(step.key)
  if (shipped) return onShippedLadder(shipped, marksOf(step)[rung - 1] ?? rung)
  const [one, other] = neighbours(program, step)
  if (one === undefined) return NONE
  return other === undefined
    ? { least: [], proposed: one }
    : { least: both(one, other), proposed: either(one, other) }
}

/** The data of the shipped rung that each rung is, by its mark; one between two is as the harder. */
const dataOnLadder = (step: Step, shipped: Step): RungsData =>
  step.rungs.map((_, i) => shipped.does?.[Math.ceil(marksOf(step)[i] ?? i + 1) - 1] ?? {})

/** A step from before its data was told: as the one that ships, or by where it stands. */
const withData = (step: Step): Step => {
  if (step.does) return step
  const shipped = shippedStep(step.key)
  if (!shipped) return { ...step, ...dataOfOwn(step), does: step.rungs.map(() => ({})) }
  const { serves = [], use, shows, newInWind = true } = shipped
  return {
    ...step,
    does: dataOnLadder(step, shipped),
    serves,
    newInWind,
    ...(use ? { use } : {}),
    ...(shows ? { shows } : {}),
  }
}

const withExposures = (program: Program, step: Step): Step => {
  const told = step.exposures
  const exposures: RungExposures = step.rungs.map((_, i) => {
    const { least, proposed } = exposureBounds(program, step, i + 1)
    return told?.[i] === undefined ? proposed : either(told[i], least)
  })
  return withData({ ...step, exposures, effort: step.effort ?? shippedStep(step.key)?.effort ?? 'free' })
}

/** Where a gate stands: as the school has it, and no further up than what ships. */
const postOf = (program: Program, own: Gate, shipped: Gate): Gate['guards'] => {
  const { guards } = own
  if (guards.kind !== 'step' || shipped.guards.kind !== 'step' || guards.step !== shipped.guards.step)
    return guards
  const step = stepOf(program, guards.step)
  return step && markOf(step, guards.fromRung) > shipped.guards.fromRung
    ? { ...guards, fromRung: rungAt(step, shipped.guards.fromRung) }
    : guards
}

const stricter = (program: Program, own: Gate, shipped: Gate): Gate => ({
  ...own,
  exposures: shipped.exposures ?? [],
  guards: postOf(program, own, shipped),
  stops: [...new Set([...shipped.stops, ...own.stops])],
  ...(shipped.leastMonths === undefined
    ? {}
    : { leastMonths: Math.max(own.leastMonths ?? 0, shipped.leastMonths) }),
})

/** A shipped gate for a program that may lack some of its steps; `null` where nothing is left to guard. */
const fitted = (gate: Gate, program: Program): Gate | null => {
  const has = (key: string | undefined): boolean => key === undefined || stepOf(program, key) !== undefined
  const { guards } = gate
  const post = guards.kind === 'step' && has(guards.step) ? guards : firstGuarded(program, gate)
  return (
    post && {
      ...gate,
      guards: post,
      solid: gate.solid.filter(({ step }) => has(step)),
      met: gate.met.filter(({ step }) => has(step)),
      dueToday: gate.dueToday.filter(has),
    }
  )
}

/** The gates that guard what a rung exposes to stand in every school; one that came later is put in its place. */
const withGates = (program: Program): readonly Gate[] => {
  const shipped = GATES.flatMap((gate): Gate[] => {
    const own = program.gates.find(({ key }) => key === gate.key)
    if (own) return [stricter(program, own, gate)]
    const late = (gate.exposures ?? []).length > 0 ? fitted(gate, program) : null
    return late ? [late] : []
  })
  return [...shipped, ...program.gates.filter(({ key }) => GATES.every((gate) => gate.key !== key))]
}

const made = new WeakMap<Program, Program>()

/**
 * A program with what today's rules of safety need: every rung says what it exposes to, every gate guards its exposures.
 * A document from before reads as one that was as strict as what ships; one that already is comes back as it is told.
 */
export const withSafety = (program: Program): Program => {
  const known = made.get(program)
  if (known) return known
  const shipped = SCHOOLS.find(
    ({ school, version }) =>
      school === program.school && version === program.version && program.copyOf === undefined,
  )
  const told = { ...program, steps: program.steps.map((step) => withExposures(program, step)) }
  const safe = shipped ?? { ...told, gates: withGates(told) }
  made.set(program, safe)
  made.set(safe, safe)
  return safe
}

/** Exposures that a school takes off a rung, which none may. */
export const exposureFlaws = (program: Program): Flaw[] =>
  program.steps.flatMap((step) =>
    step.rungs.flatMap((words, i): Flaw[] => {
      const told = step.exposures?.[i]
      if (told === undefined) return []
      const missing = exposureBounds(program, step, i + 1).least.filter((one) => !told.includes(one))
      return missing.map((one) => ({
        kind: 'exposure',
        step: step.key,
        words: `${step.name}, “${words}”: “${one}” cannot be taken off; a school can be stricter, not looser.`,
      }))
    }),
  )

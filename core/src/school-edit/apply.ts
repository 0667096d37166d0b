import {
  exposureBounds,
  exposuresAt,
  firstGuarded,
  flawsOf,
  markBetween,
  marksOf,
  stepOf,
  type Exposure,
  type Gate,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import type { Edit } from './edits'

export type Edited =
  | {
      readonly program: Program
      /** What else had to change with it, in words. */
      readonly also: readonly string[]
    }
  | { readonly refused: string }

interface Change {
  readonly program: Program
  readonly also?: readonly string[]
}

type Outcome = Change | string

const isSameNeed = (a: NeedRef, b: NeedRef): boolean =>
  a.step === b.step && a.role === b.role && a.rung === b.rung && a.fromRung === b.fromRung

const mapStep = (program: Program, key: string, change: (step: Step) => Step): Program => ({
  ...program,
  steps: program.steps.map((step) => (step.key === key ? change(step) : step)),
})

const mapGate = (program: Program, key: string, change: (gate: Gate) => Gate): Program => ({
  ...program,
  gates: program.gates.map((gate) => (gate.key === key ? change(gate) : gate)),
})

/** Puts a step before another, or at the end of its stage. */
const placed = (steps: readonly Step[], step: Step, before: string | null): readonly Step[] => {
  const others = steps.filter(({ key }) => key !== step.key)
  const next = others.findIndex(({ key }) => key === before)
  const end = others.findIndex(({ stage }) => stage > step.stage)
  const at = next !== -1 ? next : end === -1 ? others.length : end
  return [...others.slice(0, at), step, ...others.slice(at)]
}

const names = (steps: readonly { readonly name: string }[]): string =>
  steps.map(({ name }) => name).join(', ')

/** A step whose author has not said what it exposes to is as its neighbours are. */
const addStep = (program: Program, { step, before }: Extract<Edit, { do: 'add-step' }>): Outcome => {
  if (stepOf(program, step.key)) return `${step.name} is on the path already.`
  const steps = placed(program.steps, step, before)
  const exposures = step.rungs.map(
    (_, i) => step.exposures?.[i] ?? exposureBounds({ steps }, step, i + 1).proposed,
  )
  return {
    program: { ...program, steps: steps.map((one) => (one === step ? { ...step, exposures } : one)) },
  }
}

/** A step goes with all that names it: needs, gates’ lists, what carries over, and the gate that guards it. */
const removeStep = (program: Program, key: string): Outcome => {
  const step = stepOf(program, key)
  if (!step) return `“${key}” is not on the path.`
  const isIt = (need: NeedRef): boolean => need.step === key
  const needing = program.steps.filter(({ needs }) => needs.some(isIt))
  const left = { steps: program.steps.filter((one) => one !== step) }
  const standing = program.gates.filter(({ guards }) => guards.kind === 'step' && guards.step === key)
  // A gate goes with its step only where nothing else it guards stays on the path.
  const guarding = standing.filter((gate) => firstGuarded(left, gate) === null)
  const asking = program.gates.filter(
    (gate) => !guarding.includes(gate) && [...gate.solid, ...gate.met].some(isIt),
  )
  const before = program.steps[program.steps.indexOf(step) - 1]
  return {
    program: {
      ...program,
      steps: left.steps.map((one) =>
        needing.includes(one) ? { ...one, needs: one.needs.filter((n) => !isIt(n)) } : one,
      ),
      gates: program.gates
        .filter((gate) => !guarding.includes(gate))
        .map((gate) => ({
          ...gate,
          solid: gate.solid.filter((need) => !isIt(need)),
          met: gate.met.filter((need) => !isIt(need)),
          dueToday: gate.dueToday.filter((one) => one !== key),
          guards:
            gate.guards.kind === 'event' && gate.guards.after === key && before
              ? { ...gate.guards, after: before.key }
              : standing.includes(gate)
                ? firstGuarded(left, gate)!
                : gate.guards,
        })),
      carryOver: program.carryOver.filter(({ from, to }) => from !== key && to !== key),
    },
    also: [
      needing.length > 0 ? `no longer needed by ${names(needing)}` : '',
      asking.length > 0 ? `no longer asked for at ${names(asking)}` : '',
      guarding.length > 0 ? `its gate goes with it: ${names(guarding)}` : '',
    ].filter(Boolean),
  }
}

/** Needs that name a rung of a step, moved as its rungs move; `null` where that rung is gone. */
const withRungs = (program: Program, key: string, moved: (rung: number) => number): Program => {
  const need = (one: NeedRef): NeedRef =>
    one.step === key && one.rung !== undefined ? { ...one, rung: moved(one.rung) } : one
  return {
    ...program,
    steps: program.steps.map((step) => {
      const needs = step.needs.map(need)
      return step.key === key
        ? {
            ...step,
            needs: needs.map((one) =>
              one.fromRung === undefined ? one : { ...one, fromRung: moved(one.fromRung) },
            ),
          }
        : { ...step, needs }
    }),
    gates: program.gates.map((gate) => ({
      ...gate,
      solid: gate.solid.map(need),
      met: gate.met.map(need),
      guards:
        gate.guards.kind === 'step' && gate.guards.step === key
          ? { ...gate.guards, fromRung: moved(gate.guards.fromRung) }
          : gate.guards,
    })),
  }
}

const MOST_RUNGS = 20

interface Ladder {
  readonly rungs: readonly string[]
  readonly marks: readonly number[]
  /** Those of each rung; `undefined` for a new one, which is then as its neighbours are. */
  readonly exposures: readonly (readonly Exposure[] | undefined)[]
}

/** A ladder with its marks; those that are only 1, 2, 3 … need not be written. */
const onLadder = (
  program: Program,
  step: Step,
  { ladder: { rungs, marks, exposures }, required }: { ladder: Ladder; required: number },
): Step => {
  const { marks: _before, ...rest } = step
  const isPlain = marks.every((mark, i) => mark === i + 1)
  return {
    ...rest,
    rungs,
    rungCount: rungs.length,
    requiredRung: required,
    ...(isPlain ? {} : { marks }),
    exposures: exposures.map(
      (told, i) => told ?? exposureBounds(program, { ...step, rungs, marks }, i + 1).proposed,
    ),
  }
}

const exposuresOf = (step: Step): readonly (readonly Exposure[])[] =>
  step.rungs.map((_, i) => exposuresAt(step, i + 1))

const addRung = (program: Program, step: Step, { at, words }: { at: number; words: string }): Outcome => {
  if (step.rungs.length >= MOST_RUNGS) return `${step.name} has ${MOST_RUNGS} rungs, and that is enough.`
  const i = Math.min(step.rungs.length, Math.max(0, at - 1))
  const insert = <T>(list: readonly T[], one: T): T[] => [...list.slice(0, i), one, ...list.slice(i)]
  const moved = (rung: number): number => (rung > i ? rung + 1 : rung)
  const marks = insert(marksOf(step), markBetween(step, i + 1))
  return {
    program: mapStep(withRungs(program, step.key, moved), step.key, (now) =>
      onLadder(program, now, {
        ladder: {
          rungs: insert(now.rungs, words),
          marks,
          exposures: insert<readonly Exposure[] | undefined>(exposuresOf(now), undefined),
        },
        required: moved(now.requiredRung),
      }),
    ),
  }
}

const removeRung = (program: Program, step: Step, rung: number): Outcome => {
  if (step.rungs.length === 1) return `${step.name} needs a rung at least. Take the step out instead.`
  if (step.rungs[rung - 1] === undefined) return `${step.name} has no rung ${rung}.`
  const without = <T>(list: readonly T[]): T[] => list.filter((_, i) => i !== rung - 1)
  const moved = (one: number): number => (one >= rung && one > 1 ? one - 1 : one)
  return {
    program: mapStep(withRungs(program, step.key, moved), step.key, (now) =>
      onLadder(program, now, {
        ladder: {
          rungs: without(now.rungs),
          marks: without(marksOf(step)),
          exposures: without(exposuresOf(now)),
        },
        required: moved(now.requiredRung),
      }),
    ),
    also: [`answers given on “${step.rungs[rung - 1]}” count as the rung below it`],
  }
}

/** The rung goes elsewhere on the ladder; the required rung and whoever names a rung keep their height. */
const moveRung = (program: Program, step: Step, { from, to }: { from: number; to: number }): Outcome => {
  if ([from, to].some((rung) => step.rungs[rung - 1] === undefined)) return `${step.name} has no such rung.`
  const moved = <T>(list: readonly T[]): T[] => {
    const others = list.filter((_, i) => i !== from - 1)
    return [...others.slice(0, to - 1), list[from - 1]!, ...others.slice(to - 1)]
  }
  return {
    program: mapStep(program, step.key, (now) =>
      onLadder(program, now, {
        ladder: { rungs: moved(now.rungs), marks: moved(marksOf(now)), exposures: moved(exposuresOf(now)) },
        required: now.requiredRung,
      }),
    ),
  }
}

/** Sides: what carries over goes on as it was, since an unsided step serves both. */
const changeStep = (program: Program, step: Step, change: Partial<Step>): Outcome => ({
  program: mapStep(program, step.key, (now) => ({ ...now, ...change })),
})

const without = <T extends object, K extends keyof T>(value: T, key: K): Omit<T, K> => {
  const { [key]: _gone, ...rest } = value
  return rest
}

const moveStep = (program: Program, step: Step, before: string | null): Outcome => {
  const next = before === null ? null : stepOf(program, before)
  if (next && next.stage !== step.stage) return `${step.name} belongs to another stage than ${next.name}.`
  return { program: { ...program, steps: placed(program.steps, step, before) } }
}

const addNeed = (program: Program, step: Step, need: NeedRef): Outcome =>
  step.needs.some((one) => isSameNeed(one, need))
    ? `${step.name} needs that already.`
    : changeStep(program, step, { needs: [...step.needs, need] })

const stepEdit = (program: Program, edit: Extract<Edit, { readonly step: string }>): Outcome => {
  const step = stepOf(program, edit.step)
  if (!step) return `“${edit.step}” is not on the path.`
  switch (edit.do) {
    case 'remove-step':
      return removeStep(program, step.key)
    case 'move-step':
      return moveStep(program, step, edit.before)
    case 'name-step':
      return changeStep(program, step, { name: edit.name })
    case 'add-rung':
      return addRung(program, step, { at: edit.rung, words: edit.words })
    case 'remove-rung':
      return removeRung(program, step, edit.rung)
    case 'move-rung':
      return moveRung(program, step, { from: edit.from, to: edit.to })
    case 'word-rung':
      return changeStep(program, step, {
        rungs: step.rungs.map((words, i) => (i === edit.rung - 1 ? edit.words : words)),
      })
    case 'require-rung':
      return changeStep(program, step, { requiredRung: edit.rung })
    case 'add-need':
      return addNeed(program, step, edit.need)
    case 'drop-need':
      return changeStep(program, step, { needs: step.needs.filter((one) => !isSameNeed(one, edit.need)) })
    case 'sides':
      return changeStep(program, step, { sided: edit.sided })
    case 'all-round':
      return changeStep(program, step, { allRound: edit.allRound })
    case 'own-need':
      return {
        program: mapStep(program, step.key, (now) =>
          edit.need ? { ...now, need: edit.need } : without(now, 'need'),
        ),
      }
    case 'card':
      return changeStep(program, step, { card: { ...step.card, ...edit.words } })
    case 'expose':
      return changeStep(program, step, {
        exposures: exposuresOf(step).map((told, i) => (i === edit.rung - 1 ? edit.exposures : told)),
      })
  }
}

const gateEdit = (program: Program, edit: Extract<Edit, { readonly gate: string }>): Outcome => {
  const gate = program.gates.find(({ key }) => key === edit.gate)
  if (!gate) return `There is no gate “${edit.gate}” in this school.`
  const change = (part: Partial<Gate>): Change => ({
    program: mapGate(program, gate.key, (now) => ({ ...now, ...part })),
  })
  switch (edit.do) {
    case 'gate-add':
      return gate[edit.list].some((one) => isSameNeed(one, edit.need))
        ? `${gate.name} asks for that already.`
        : change({ [edit.list]: [...gate[edit.list], edit.need] })
    case 'gate-drop':
      return change({ [edit.list]: gate[edit.list].filter((one) => !isSameNeed(one, edit.need)) })
    case 'gate-stop': {
      const others = gate.stops.filter((stop) => stop !== edit.stop)
      return change({ stops: edit.on ? [...others, edit.stop] : others })
    }
    case 'gate-months':
      return change({ leastMonths: edit.months })
    case 'gate-days':
      return change({ freshDays: edit.days })
  }
}

const outcomeOf = (program: Program, edit: Edit): Outcome => {
  if (edit.do === 'add-step') return addStep(program, edit)
  if (edit.do === 'rename') return { program: { ...program, name: edit.name } }
  if (edit.do === 'pace') {
    const at = (border: number): number =>
      border === edit.border ? edit.seconds : program.pace.limits[border]!
    return { program: { ...program, pace: { ...program.pace, limits: [at(0), at(1), at(2), at(3)] } } }
  }
  return 'gate' in edit ? gateEdit(program, edit) : stepEdit(program, edit)
}

const flawWords = (program: Program): ReadonlySet<string> =>
  new Set(flawsOf(program).map(({ words }) => words))

/** A school after one edit, or why it cannot be made: no edit may leave a flaw that was not there before. */
export const applyEdit = (program: Program, edit: Edit): Edited => {
  const outcome = outcomeOf(program, edit)
  if (typeof outcome === 'string') return { refused: outcome }
  const before = flawWords(program)
  const flaws = flawsOf(outcome.program).filter(({ words }) => !before.has(words))
  return flaws.length > 0
    ? { refused: flaws.map(({ words }) => words).join(' ') }
    : { program: outcome.program, also: outcome.also ?? [] }
}

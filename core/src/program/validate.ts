import { rungNeeded, stepOf, stepsMeeting, type Program } from './program'
import type { Flaw } from './flaw'
import { lawFlaws } from './limits'
import { exposureFlaws } from './safety'
import { marksOf } from './ladder'
import type { NeedRef, Step } from './step'

type Node = string

const node = (step: string, rung: number): Node => `${step}@${rung}`

const needText = (need: NeedRef): string => need.role ?? need.step ?? 'nothing'

const referenceFlaws = (program: Program, owner: string, needs: readonly NeedRef[]): Flaw[] =>
  needs.flatMap((need): Flaw[] => {
    const found = stepsMeeting(program, need)
    if (found.length === 0)
      return [
        {
          kind: 'unknown',
          step: owner,
          words: need.role
            ? `${owner} needs a step in the role “${need.role}”, and no step has it.`
            : `${owner} needs “${needText(need)}”, which is not a step of this program.`,
        },
      ]
    return found
      .filter((step) => rungNeeded(need, step) > step.rungs.length || rungNeeded(need, step) < 1)
      .map((step) => ({
        kind: 'rung',
        step: owner,
        words: `${owner} needs ${step.key} at rung ${rungNeeded(need, step)}, but it has ${step.rungs.length}.`,
      }))
  })

const duplicateFlaws = (program: Program): Flaw[] => {
  const keys = program.steps.map(({ key }) => key)
  const twice = keys.filter((key, i) => keys.indexOf(key) !== i)
  return [...new Set(twice)].map((key) => ({
    kind: 'duplicate',
    step: key,
    words: `${key} stands in the program twice.`,
  }))
}

const ladderFlaws = (program: Program): Flaw[] =>
  program.steps
    .filter(
      ({ rungs, requiredRung, rungCount = rungs.length }) =>
        requiredRung < 1 || requiredRung > rungs.length || rungCount !== rungs.length,
    )
    .map(({ key, rungs, requiredRung }) => ({
      kind: 'rung',
      step: key,
      words: `${key} must reach rung ${requiredRung}, but it has ${rungs.length}.`,
    }))

const markFlaws = (program: Program): Flaw[] =>
  program.steps
    .filter((step) => {
      const marks = marksOf(step)
      const isPaired = step.marks === undefined || step.marks.length === step.rungs.length
      return !isPaired || new Set(marks).size < marks.length || marks.some((mark) => mark <= 0)
    })
    .map(({ key, name }) => ({
      kind: 'rung',
      step: key,
      words: `${name}: every rung needs a mark of its own, above nought.`,
    }))

const orderFlaws = ({ steps }: Program): Flaw[] =>
  steps
    .filter(({ stage }, i) => stage < (steps[i - 1]?.stage ?? 0))
    .map(({ key, name }) => ({
      kind: 'order',
      step: key,
      words: `${name} stands after a step of a later stage.`,
    }))

const emptyFlaws = ({ steps }: Program): Flaw[] =>
  steps.length > 0 ? [] : [{ kind: 'empty', step: '', words: 'A school needs at least one step.' }]

/** Keys that gates name outright: what they guard, and what is due on the day. */
const gateFlaws = (program: Program): Flaw[] =>
  program.gates.flatMap(({ key, name, guards, dueToday }) => {
    const named = [...(guards.kind === 'step' ? [guards.step] : []), ...dueToday]
    const unknown = named
      .filter((step) => stepOf(program, step) === undefined)
      .map((step): Flaw => ({
        kind: 'unknown',
        step: key,
        words: `The ${name} gate names “${step}”, which is not a step of this program.`,
      }))
    const guarded = guards.kind === 'step' ? stepOf(program, guards.step) : undefined
    const above = guards.kind === 'step' && guarded && guards.fromRung > guarded.rungs.length
    return above
      ? [
          ...unknown,
          {
            kind: 'rung',
            step: key,
            words: `The ${name} gate guards ${guarded.key} from rung ${guards.fromRung}, but it has ${guarded.rungs.length}.`,
          },
        ]
      : unknown
  })

const paceFlaws = ({ pace }: Program): Flaw[] =>
  pace.limits.every((limit, i) => limit > (i === 0 ? 0 : pace.limits[i - 1]!))
    ? []
    : [{ kind: 'pace', step: '', words: 'The phases of the pace must each end later than the one before.' }]

/** What must be reached before a rung: each entry a list of which one is enough. */
const waysInto = (program: Program, step: Step, rung: number): Node[][] => {
  const below = rung > 1 ? [[node(step.key, rung - 1)]] : []
  const needs = step.needs.filter(({ fromRung }) => (fromRung ?? 1) === rung)
  return [
    ...below,
    ...needs.map((need) => stepsMeeting(program, need).map((s) => node(s.key, rungNeeded(need, s)))),
  ]
}

const reachableNodes = (ways: ReadonlyMap<Node, Node[][]>): ReadonlySet<Node> => {
  const reached = new Set<Node>()
  let grew = true
  while (grew) {
    grew = false
    for (const [rung, groups] of ways) {
      if (reached.has(rung) || !groups.every((group) => group.some((way) => reached.has(way)))) continue
      reached.add(rung)
      grew = true
    }
  }
  return reached
}

/** Follows unreached needs from a rung until one comes round again. */
const circleFrom = (
  start: Node,
  ways: ReadonlyMap<Node, Node[][]>,
  reached: ReadonlySet<Node>,
): Node[] | null => {
  const trail: Node[] = []
  let at: Node | undefined = start
  while (at !== undefined && !trail.includes(at)) {
    trail.push(at)
    const blocked: Node[] | undefined = ways.get(at)?.find((group) => !group.some((way) => reached.has(way)))
    at = blocked?.[0]
  }
  return at === undefined ? null : trail.slice(trail.indexOf(at))
}

const stepInNode = (rung: Node): string => rung.split('@')[0]!

const pathFlaws = (program: Program): Flaw[] => {
  const rungs = program.steps.flatMap((step) =>
    step.rungs.map((_, i) => [node(step.key, i + 1), waysInto(program, step, i + 1)] as const),
  )
  const ways = new Map(rungs)
  const reached = reachableNodes(ways)
  const stuck = program.steps.filter((step) => !reached.has(node(step.key, step.requiredRung)))
  const circles = new Map<string, Flaw>()
  for (const step of stuck) {
    const circle = circleFrom(node(step.key, step.requiredRung), ways, reached)
    if (!circle) continue
    const steps = [...new Set(circle.map(stepInNode))]
    circles.set([...steps].sort().join(), {
      kind: 'circle',
      step: steps[0]!,
      words: `These wait for each other: ${[...steps, steps[0]].join(' needs ')}.`,
    })
  }
  const unreachable = stuck.map((step): Flaw => ({
    kind: 'unreachable',
    step: step.key,
    words: `${step.key} can never be reached.`,
  }))
  return [...circles.values(), ...unreachable]
}

const carryFlaws = (program: Program): Flaw[] =>
  program.carryOver
    .flatMap(({ from, to }) => [from, to])
    .filter((key) => stepOf(program, key) === undefined)
    .map((key) => ({
      kind: 'unknown',
      step: key,
      words: `The list of what carries over names “${key}”, which is not a step of this program.`,
    }))

/** Everything wrong with a program; empty when it can be used. */
export const flawsOf = (program: Program): readonly Flaw[] => [
  ...emptyFlaws(program),
  ...duplicateFlaws(program),
  ...ladderFlaws(program),
  ...markFlaws(program),
  ...orderFlaws(program),
  ...paceFlaws(program),
  ...program.steps.flatMap((step) => referenceFlaws(program, step.key, step.needs)),
  ...program.gates.flatMap((gate) => referenceFlaws(program, gate.key, [...gate.solid, ...gate.met])),
  ...gateFlaws(program),
  ...carryFlaws(program),
  ...lawFlaws(program),
  ...exposureFlaws(program),
  ...pathFlaws(program),
]

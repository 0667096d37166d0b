import {
  gatesGuarding,
  rungNeeded,
  stepsMeeting,
  type Gate,
  type NeedRef,
  type Program,
} from '../../src/program'

/** The part of a school up to a gate: what it guards, the steps it asks for, all they need, and the gates on the way. */
export const pathTo = (program: Program, key: string): Program => {
  const rungs = new Map<string, number>()
  const gates = new Set<Gate>()
  const needed = (need: NeedRef): void => {
    for (const step of stepsMeeting(program, need)) {
      const rung = rungNeeded(need, step)
      if ((rungs.get(step.key) ?? 0) >= rung) continue
      rungs.set(step.key, rung)
      for (const one of step.needs) if ((one.fromRung ?? 1) <= rung) needed(one)
      for (const guard of gatesGuarding(program, step.key, rung)) if (!gates.has(guard)) passed(guard)
    }
  }
  const passed = (gate: Gate): void => {
    gates.add(gate)
    for (const need of [...gate.solid, ...gate.met]) needed(need)
  }
  const goal = program.gates.find((gate) => gate.key === key)!
  const { guards } = goal
  passed(goal)
  rungs.set(guards.kind === 'step' ? guards.step : guards.after, 1)
  return {
    ...program,
    steps: program.steps.filter((step) => rungs.has(step.key)),
    gates: program.gates.filter((gate) => gates.has(gate)),
    carryOver: program.carryOver.filter(({ from, to }) => rungs.has(from) && rungs.has(to)),
  }
}

import { stepOf, stepsMeeting, type Program } from '@still-pine/core/program'

/** One step needs another; where a role is needed, each step that can meet it. */
export interface Edge {
  readonly from: string
  readonly to: string
  /** Whether it stands in both versions, or came or went with the change. */
  readonly since: 'before' | 'come' | 'gone'
}

const pairsOf = (program: Program): ReadonlyMap<string, { from: string; to: string }> =>
  new Map(
    program.steps.flatMap((step) =>
      step.needs.flatMap((need) =>
        stepsMeeting(program, need)
          .filter(({ key }) => key !== step.key)
          .map(({ key }) => [`${key} ${step.key}`, { from: key, to: step.key }] as const),
      ),
    ),
  )

/** What needs what, with what the change brought and what it took away; steps that went are left out. */
export const edgesOf = (base: Program, program: Program): readonly Edge[] => {
  const before = pairsOf(base)
  const now = pairsOf(program)
  const gone = [...before]
    .filter(([key, { from, to }]) => !now.has(key) && stepOf(program, from) && stepOf(program, to))
    .map(([, pair]): Edge => ({ ...pair, since: 'gone' }))
  return [
    ...[...now].map(([key, pair]): Edge => ({ ...pair, since: before.has(key) ? 'before' : 'come' })),
    ...gone,
  ]
}

/** All that a step stands on, down to the beginning. */
export const standsOn = (edges: readonly Edge[], step: string): ReadonlySet<string> => {
  const under = new Set<string>()
  const add = (key: string): void => {
    for (const { from, to, since } of edges)
      if (to === key && since !== 'gone' && !under.has(from)) {
        under.add(from)
        add(from)
      }
  }
  add(step)
  return under
}

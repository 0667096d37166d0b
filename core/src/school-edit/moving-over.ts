import type { Side } from '../answer'
import { marksOf, sidesOf, stepOf, type Program, type Step } from '../program'
import { trackKey, type State, type Views } from '../readiness'

/** A track before and after a horse moves to another program; `null` where it has no such track. */
export interface MovedTrack {
  readonly side: Side
  readonly answers: number
  readonly before: { readonly state: State; readonly holdsToRung: number } | null
  readonly after: { readonly state: State; readonly holdsToRung: number } | null
}

export interface MovedStep {
  readonly step: string
  readonly name: string
  /** What is different about the step, in words; empty where only its judgement differs. */
  readonly changes: readonly string[]
  readonly tracks: readonly MovedTrack[]
}

const standing = (views: Views, step: string, side: Side): MovedTrack['before'] => {
  const view = views.get(trackKey(step, side))
  return view ? { state: view.state, holdsToRung: view.holdsToRung } : null
}

const rungChanges = (before: Step, after: Step): readonly string[] => {
  const old = new Map(marksOf(before).map((mark, i) => [mark, before.rungs[i]!]))
  const now = new Map(marksOf(after).map((mark, i) => [mark, after.rungs[i]!]))
  const gone = [...old].filter(([mark]) => !now.has(mark))
  const come = [...now].filter(([mark]) => !old.has(mark))
  const kept = (step: Step, other: ReadonlyMap<number, string>): string =>
    marksOf(step)
      .filter((mark) => other.has(mark))
      .join()
  const isReordered = kept(before, now) !== kept(after, old)
  return [
    ...gone.map(([, words]) => `“${words}” is gone: its answers count as the rung below`),
    ...come.map(([, words]) => `“${words}” is new`),
    ...(isReordered ? ['its rungs stand in another order'] : []),
  ]
}

/** What is different about a step that both have, as far as it touches its answers. */
export const stepChanges = (before: Step, after: Step): readonly string[] => [
  ...rungChanges(before, after),
  ...(before.rungs[before.requiredRung - 1] === after.rungs[after.requiredRung - 1]
    ? []
    : [`must reach “${after.rungs[after.requiredRung - 1]}” now`]),
  ...(before.sided === after.sided
    ? []
    : [
        after.sided
          ? 'asked on each side now: each side takes all it has'
          : 'not asked on each side any more: both count as one',
      ]),
  ...(before.allRound === after.allRound
    ? []
    : [after.allRound ? 'to be proved all round now' : 'need not be proved all round any more']),
]

const movedStep = (
  step: Step,
  changes: readonly string[],
  { sides, before, after }: { sides: readonly Side[]; before: Views; after: Views },
): MovedStep => ({
  step: step.key,
  name: step.name,
  changes,
  tracks: sides.map((side) => ({
    side,
    answers: Math.max(...[before, after].map((views) => views.get(trackKey(step.key, side))?.answers ?? 0)),
    before: standing(before, step.key, side),
    after: standing(after, step.key, side),
  })),
})

const isJudgedAlike = ({ tracks }: MovedStep): boolean =>
  tracks.every(
    ({ before, after }) => before?.state === after?.state && before?.holdsToRung === after?.holdsToRung,
  )

/** What becomes of every track when a horse moves from one program to another; steps that stay as they are are left out. */
export const movedOver = (
  from: Program,
  to: Program,
  { before, after }: { before: Views; after: Views },
): readonly MovedStep[] => {
  const gone = from.steps
    .filter(({ key }) => stepOf(to, key) === undefined)
    .map((step) =>
      movedStep(step, ['not on the path any more: its answers stay, and are not judged'], {
        sides: sidesOf(step),
        before,
        after,
      }),
    )
  const kept = to.steps.flatMap((step): MovedStep[] => {
    const old = stepOf(from, step.key)
    const sides = [...new Set([...(old ? sidesOf(old) : []), ...sidesOf(step)])]
    const moved = movedStep(step, old ? stepChanges(old, step) : ['comes on to the path'], {
      sides,
      before,
      after,
    })
    return moved.changes.length === 0 && isJudgedAlike(moved) ? [] : [moved]
  })
  return [...kept, ...gone]
}

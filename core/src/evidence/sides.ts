import { sideGap, sideViews, type Views } from '../readiness'
import type { Program } from '../program'

/** How the sides compare over all steps that have two. */
export interface SidesOver {
  /** Steps of which both sides were asked enough to compare. */
  readonly compared: number
  /** Of them, those on which a side is behind by enough to matter, with chance left less chance right. */
  readonly behind: readonly { readonly step: string; readonly name: string; readonly gap: number }[]
  /** Mean of chance left less chance right over the steps compared; `null` of none. */
  readonly mean: number | null
  /** Steps of which one side was not asked enough. */
  readonly oneSided: readonly {
    readonly step: string
    readonly name: string
    readonly side: 'left' | 'right'
  }[]
  readonly answers: { readonly left: number; readonly right: number }
}

/** Left against right over all of a horse's steps. */
export const sidesOver = (program: Program, views: Views): SidesOver => {
  const sided = program.steps.filter((step) => step.sided)
  const gaps = sided.map((step) => ({ step, gap: sideGap(sideViews(views, step)) }))
  const compared = gaps.flatMap(({ step, gap }) => (gap?.kind === 'gap' ? [{ step, ...gap }] : []))
  const answersOf = (side: 'left' | 'right'): number =>
    sided.reduce((sum, step) => sum + views.get(`${step.key}/${side}`)!.answers, 0)
  return {
    compared: compared.length,
    behind: compared
      .filter(({ flagged }) => flagged)
      .map(({ step, value }) => ({ step: step.key, name: step.name, gap: value }))
      .sort((a, b) => Math.abs(b.gap) - Math.abs(a.gap)),
    mean:
      compared.length === 0 ? null : compared.reduce((sum, { value }) => sum + value, 0) / compared.length,
    oneSided: gaps.flatMap(({ step, gap }) =>
      gap?.kind === 'not-asked' && gap.sides.length === 1
        ? [{ step: step.key, name: step.name, side: gap.sides[0] as 'left' | 'right' }]
        : [],
    ),
    answers: { left: answersOf('left'), right: answersOf('right') },
  }
}

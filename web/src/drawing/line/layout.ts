/** A step to hang on the rope. */
export interface RopeStep {
  readonly key: string
  readonly stage: number
}

/** A gate's post: it stands before a step, or after one where it guards an event. */
export interface Post {
  readonly gate: string
  readonly step: string
  readonly where: 'before' | 'after'
}

export interface Point {
  readonly x: number
  readonly y: number
}

/** A row of rope with what hangs on it, in pixels from the row's own top. */
export interface RopeRow {
  readonly steps: ReadonlyMap<string, Point>
  readonly posts: ReadonlyMap<string, Point>
  readonly stages: readonly { readonly stage: number; readonly x: number; readonly endX: number }[]
  /** The rope's path from post to post. */
  readonly rope: string
  readonly slot: number
}

interface Slot {
  readonly kind: 'step' | 'post' | 'gap'
  readonly key: string
  readonly stage: number
  readonly size: number
}

const POST_SLOT = 0.5
const GAP_SLOT = 0.5

const slotsOf = (steps: readonly RopeStep[], posts: readonly Post[]): readonly Slot[] =>
  steps.flatMap((step, i): Slot[] => {
    const hung = (where: Post['where']): Slot[] =>
      posts
        .filter((post) => post.step === step.key && post.where === where)
        .map(({ gate }) => ({ kind: 'post', key: gate, stage: step.stage, size: POST_SLOT }))
    const isNewStage = i > 0 && steps[i - 1]!.stage !== step.stage
    return [
      ...(isNewStage
        ? [{ kind: 'gap', key: `gap ${step.stage}`, stage: step.stage, size: GAP_SLOT } as const]
        : []),
      ...hung('before'),
      { kind: 'step', key: step.key, stage: step.stage, size: 1 },
      ...hung('after'),
    ]
  })

const SAG_SHARE = 0.035

/** How far the rope hangs below its posts at a share of the way between two of them. */
const sagAt = (from: number, to: number, { x, most }: { x: number; most: number }): number => {
  const share = to === from ? 0 : (x - from) / (to - from)
  return 4 * Math.min(most, (to - from) * SAG_SHARE) * share * (1 - share)
}

const ropePath = (anchors: readonly number[], y: number, mostSag: number): string =>
  anchors.slice(1).reduce((path, to, i) => {
    const from = anchors[i]!
    const sag = Math.min(mostSag, (to - from) * SAG_SHARE)
    return `${path}Q${(from + to) / 2} ${y + 2 * sag} ${to} ${y}`
  }, `M${anchors[0]} ${y}`)

/** Lays some stages along one rope of a given width; `ropeY` is the height of its posts' feet. */
export const layRow = (
  steps: readonly RopeStep[],
  posts: readonly Post[],
  { width, ropeY, mostSag }: { width: number; ropeY: number; mostSag: number },
): RopeRow => {
  const slots = slotsOf(steps, posts)
  const slot = width / slots.reduce((sum, { size }) => sum + size, 0)
  const centres: { slot: Slot; x: number; from: number; to: number }[] = []
  let at = 0
  for (const one of slots) {
    const from = at
    at += one.size * slot
    centres.push({ slot: one, x: (from + at) / 2, from, to: at })
  }
  const postXs = centres.filter(({ slot: s }) => s.kind === 'post').map(({ x }) => x)
  const anchors = [0, ...postXs, width]
  const onRope = (x: number): Point => {
    const right = anchors.findIndex((anchor, i) => i > 0 && x <= anchor)
    return { x, y: ropeY + sagAt(anchors[right - 1]!, anchors[right]!, { x, most: mostSag }) }
  }
  const pick = (kind: Slot['kind']): Map<string, Point> =>
    new Map(centres.filter(({ slot: s }) => s.kind === kind).map(({ slot: s, x }) => [s.key, onRope(x)]))
  const stages = [...new Set(steps.map(({ stage }) => stage))].map((stage) => {
    const own = centres.filter(({ slot: s }) => s.stage === stage && s.kind !== 'gap')
    return { stage, x: own[0]!.from, endX: own.at(-1)!.to }
  })
  return { steps: pick('step'), posts: pick('post'), stages, rope: ropePath(anchors, ropeY, mostSag), slot }
}

type Align = 'start' | 'middle' | 'end'

/** A label that wants to stand at `x`, `width` wide, hung in the first of `aligns` that is free. */
export interface Wish {
  readonly key: string
  readonly x: number
  readonly width: number
  readonly aligns: readonly Align[]
}

export interface Placed {
  readonly key: string
  readonly left: number
  readonly lane: number
}

const LABEL_GAP = 10

const leftOf = ({ x, width }: Wish, align: Align, within: number): number => {
  const left = align === 'start' ? x : align === 'end' ? x - width : x - width / 2
  return Math.max(0, Math.min(within - width, left))
}

/**
 * Gives each label the first lane and alignment where it touches no other label and covers nothing that stands at
 * one of `posts`; one that finds no room in `lanes` is left out. A label may stand over its own `x`.
 */
export const placeLabels = (
  wishes: readonly Wish[],
  within: number,
  { lanes, posts = [] }: { lanes: number; posts?: readonly number[] },
): readonly Placed[] => {
  const taken: { left: number; right: number; lane: number }[] = []
  return wishes.flatMap((wish) => {
    if (wish.width > within) return []
    const isFree = (left: number, lane: number): boolean => {
      const right = left + wish.width
      const touches = taken.some(
        (t) => t.lane === lane && right + LABEL_GAP > t.left && left < t.right + LABEL_GAP,
      )
      const covers = posts.some(
        (post) => Math.abs(post - wish.x) > LABEL_GAP && post > left - 5 && post < right + 5,
      )
      return !touches && !covers
    }
    for (let lane = 0; lane < lanes; lane++)
      for (const align of wish.aligns) {
        const left = leftOf(wish, align, within)
        if (!isFree(left, lane)) continue
        taken.push({ left, right: left + wish.width, lane })
        return [{ key: wish.key, left, lane }]
      }
    return []
  })
}

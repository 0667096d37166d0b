import {
  gateGuarding,
  inOrderOfNeeds,
  rungNeeded,
  stepsMeeting,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import { stepStanding, type ArrivalAnswer, type Standing } from './track'

/** The hardest rung that any need wants of a step; none is 0. */
export const rungWanted = (program: Program, step: Step): number =>
  Math.max(
    0,
    ...program.steps
      .flatMap(({ needs }) => needs)
      .filter((need) => stepsMeeting(program, need).includes(step))
      .map((need) => rungNeeded(need, step)),
  )

const isBehindGate = (program: Program, { key }: Step): boolean => gateGuarding(program, key, 1) !== undefined

/** The path of a horse as an arrival check sees it so far: what was held, what was not, and what lies between. */
export class Path {
  private readonly order: readonly Step[]
  private readonly standings: ReadonlyMap<string, Standing>
  /** Places in the order of needs: of the hardest step that was held, and of the first after it that was not. */
  private readonly from: number
  private readonly to: number

  constructor(
    readonly program: Program,
    readonly answers: readonly ArrivalAnswer[],
  ) {
    this.order = inOrderOfNeeds(program)
    const asked = new Set(answers.map(({ step }) => step))
    this.standings = new Map(
      this.order
        .filter(({ key }) => asked.has(key))
        .map((step) => [step.key, stepStanding(step, answers)] as const),
    )
    this.from = this.order.findLastIndex(({ key }) => this.standings.get(key)?.is === 'held')
    const first = this.order.findIndex((step, i) => i > this.from && this.isFailed(step))
    this.to = first === -1 ? this.order.length : first
  }

  isShown({ key }: Step): boolean {
    return this.standings.get(key)?.is === 'held'
  }

  isFailed({ key }: Step): boolean {
    return this.standings.get(key)?.is === 'not-held'
  }

  get failed(): readonly Step[] {
    return this.order.filter((step) => this.isFailed(step))
  }

  /** The step that is being asked and how it goes on, if one is. */
  get begun(): { readonly step: Step; readonly standing: Extract<Standing, { is: 'open' }> } | null {
    for (const step of this.order) {
      const standing = this.standings.get(step.key)
      if (standing?.is === 'open') return { step, standing }
    }
    return null
  }

  /**
   * The rung a step is taken to be held to: as shown; below what was shown as far as it must reach or others want it;
   * else none. What lies behind a gate is never taken as held: gates want their own evidence.
   */
  rungKnown(step: Step): number {
    const standing = this.standings.get(step.key)
    if (standing?.is === 'held') return standing.rung
    if (standing || isBehindGate(this.program, step) || this.order.indexOf(step) > this.from) return 0
    return Math.max(step.requiredRung, rungWanted(this.program, step))
  }

  private isNeedKnown(need: NeedRef): boolean {
    return stepsMeeting(this.program, need).some((way) => rungNeeded(need, way) <= this.rungKnown(way))
  }

  isOpen({ needs }: Step): boolean {
    return needs.filter(({ fromRung }) => (fromRung ?? 1) === 1).every((need) => this.isNeedKnown(need))
  }

  /** What may be asked between what was shown and what failed, in order; steps that nothing stands on tell nothing. */
  get unsettled(): readonly Step[] {
    return this.order
      .slice(this.from + 1, this.to)
      .filter((step) => !isBehindGate(this.program, step) && rungWanted(this.program, step) > 0)
  }

  /**
   * All it needs is known; or it is a thing the horse does, no more than a stage above what was shown. What is done to
   * the horse is not tried over a gap: a kick or a pull-back costs more than an ask.
   */
  isSafe(step: Step): boolean {
    if (this.isOpen(step)) return true
    const shown = this.order.filter((one) => this.isShown(one)).map(({ stage }) => stage)
    return step.kind === 'ask' && step.stage <= 1 + Math.max(0, ...shown)
  }
}

/** A share of what a horse can on the source comes along to the target. */
export interface CarryOver {
  readonly from: string
  readonly to: string
  readonly share: number
}

const carries = (from: string, to: string, share: number): CarryOver => ({ from, to, share })

/** What carries over, the product's own judgement. */
export const CARRY_OVER: readonly CarryOver[] = [
  carries('bend', 'ride-bend', 0.4),
  carries('give-to-bit', 'ride-contact', 0.4),
  carries('yield-hind', 'ride-bend', 0.2),
  carries('send', 'ride-go-stop', 0.3),
  carries('stop-on-circle', 'ride-go-stop', 0.2),
  carries('turn-on-line', 'ride-steer', 0.2),
  carries('yield-shoulder', 'ride-steer', 0.2),
  carries('drive-on-bit', 'ride-steer', 0.2),
  carries('poles', 'ride-poles', 0.5),
  carries('person-above', 'lie-over', 0.3),
  carries('girth-rope', 'surcingle', 0.4),
  carries('surcingle', 'saddle-on', 0.4),
  carries('laps', 'stretch-lunge', 0.3),
  carries('person-above', 'over-from-fence', 0.3),
  carries('ride-perimeter-led', 'ride-perimeter', 0.4),
  carries('give-to-halter', 'give-to-bit', 0.3),
  carries('drive', 'drive-on-bit', 0.4),
  carries('foot-front', 'foot-hind', 0.3),
  carries('bend', 'bow-the-feel', 0.3),
]

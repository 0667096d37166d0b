/** One burst to be put in its place. */
export interface Placed {
  readonly step: string
  /** A first ask opens the session; the good ending closes it. */
  readonly role: 'check' | 'learn' | 'close'
  readonly worth: number
  readonly endsWell: boolean
  /** Steps that must have come before. */
  readonly after: readonly string[]
  /** Its place from 0, where a person has pinned it. */
  readonly at: number | null
}

/** What breaks the shape of a session, and how badly. */
const COST = {
  sameStepRunning: 1000,
  ingredientLater: 800,
  checkLater: 300,
  samePairRunning: 200,
  badEnding: 100,
  laterForItsWorth: 1,
} as const

const costOfWaiting = (place: number, worth: number): number => (COST.laterForItsWorth * place * worth) / 10

const costOfNext = (before: readonly Placed[], next: Placed, isLast: boolean): number => {
  const n = before.length
  const last = before[n - 1]
  let cost = 0
  if (last?.step === next.step) cost += COST.sameStepRunning
  if (n >= 3 && before[n - 2]!.step === next.step && before[n - 3]!.step === last!.step)
    cost += COST.samePairRunning
  if (next.after.some((step) => !before.some((one) => one.step === step))) cost += COST.ingredientLater
  if (next.role === 'check' && before.some(({ role }) => role !== 'check')) cost += COST.checkLater
  if (next.role === 'close' && !isLast) cost += COST.badEnding
  if (isLast && !next.endsWell) cost += COST.badEnding
  return cost + costOfWaiting(n, next.worth)
}

/** Alike items are tried once at each place. First asks keep the order they are given in: trying all would gain nothing. */
const kindOf = ({ step, role, at }: Placed): string => (role === 'check' ? role : `${step} ${role} ${at}`)

/**
 * The order of least cost, found by search with a bound: first asks open, ingredients come before what is put
 * together from them, no step and no pair of steps twice running, a good ending, and otherwise what is worth most
 * while the horse is fresh. Of equal orders the first in the order given. `before` is what the session had already.
 */
export const inOrder = <P extends Placed>(
  items: readonly P[],
  before: readonly Placed[] = [],
): readonly P[] => {
  const pinned = new Map<number, P>()
  const free: P[] = []
  for (const item of items) {
    const at = item.at === null ? null : Math.min(item.at, items.length - 1)
    if (at !== null && !pinned.has(at)) pinned.set(at, item)
    else free.push(item)
  }
  const kinds = [...new Set(free.map(kindOf))]
  const kind = free.map((item) => kinds.indexOf(kindOf(item)))
  const isPlaced = free.map(() => false)
  const byWorth = free.map((_, i) => i).sort((a, b) => free[b]!.worth - free[a]!.worth)
  /** What is left costs at least this: its places and nothing else, dealt out to what is worth most first. */
  const leastOfRest = (): number => {
    let cost = 0
    let place = session.length
    for (const i of byWorth) if (!isPlaced[i]) cost += costOfWaiting(place++, free[i]!.worth)
    return cost
  }
  const best = { order: items, cost: Infinity }
  const session: Placed[] = [...before]
  const order: P[] = []
  const goOn = (cost: number): void => {
    if (cost + leastOfRest() >= best.cost - 1e-9) return
    const place = order.length
    if (place === items.length) {
      best.order = [...order]
      best.cost = cost
      return
    }
    const isLast = place === items.length - 1
    const take = (item: P): void => {
      const more = costOfNext(session, item, isLast)
      session.push(item)
      order.push(item)
      goOn(cost + more)
      order.pop()
      session.pop()
    }
    const fixed = pinned.get(place)
    if (fixed) return take(fixed)
    const isTried = new Uint8Array(kinds.length)
    for (let i = 0; i < free.length; i++) {
      if (isPlaced[i] || isTried[kind[i]!]) continue
      isTried[kind[i]!] = 1
      isPlaced[i] = true
      take(free[i]!)
      isPlaced[i] = false
    }
  }
  goOn(0)
  return best.order
}

import type { PromisedAsk } from '@still-pine/contract'
import type { DemoSession } from './history'

/** One session in so many leaves out the last thing that the one before it did. */
const LEAVES_OUT_ONE_IN = 4

const asked = ({ answers }: DemoSession): readonly PromisedAsk[] => {
  const counts = new Map<string, PromisedAsk>()
  for (const { step, side } of answers) {
    const key = `${step}/${side}`
    counts.set(key, { step, side, asks: (counts.get(key)?.asks ?? 0) + 1 })
  }
  return [...counts.values()]
}

/** What a session of the made-up past set out to do: what it did, and now and then a track that it did not come to. */
export const promisedBy = (sessions: readonly DemoSession[], nth: number): readonly PromisedAsk[] => {
  const done = asked(sessions[nth]!)
  const before = nth > 0 && nth % LEAVES_OUT_ONE_IN === 0 ? asked(sessions[nth - 1]!).at(-1) : undefined
  const isNew = before && !done.some(({ step, side }) => step === before.step && side === before.side)
  return isNew ? [...done, before] : done
}

import type { Day } from '../answer'
import { newThing, reShow } from './things'

/** One time a thing of the yard was shown. */
export interface Showing {
  readonly thing: string
  readonly on: Day
  readonly side: 'left' | 'right' | 'both'
  readonly where: string
  readonly good: boolean
}

/** What two people write of one thing is one thing. */
const keyOf = ({ thing }: Showing): string => thing.trim().toLowerCase().replace(/\s+/g, ' ')

const sidesOf = (showings: readonly Showing[]): readonly ('left' | 'right')[] =>
  (['left', 'right'] as const).filter((side) =>
    showings.some((one) => one.side === side || one.side === 'both'),
  )

/** Every thing a horse was shown, when it is to be shown again, and how the next new one is likely to go. */
export const thingsRegister = (all: readonly Showing[], on: Day) => {
  const things = new Map<string, Showing[]>()
  for (const one of all.filter((showing) => showing.on <= on).toSorted((a, b) => a.on.localeCompare(b.on)))
    things.set(keyOf(one), [...(things.get(keyOf(one)) ?? []), one])
  const lasts = [...things.values()].map((showings) => ({
    first: showings[0]!,
    last: showings.at(-1)!,
    showings,
  }))
  const told = reShow(
    on,
    lasts.map(({ last }) => ({ thing: last.thing, lastShown: last.on, good: last.good })),
  ).things
  return {
    things: lasts.map(({ last, showings }, i) => ({
      thing: last.thing,
      times: showings.length,
      sides: sidesOf(showings),
      where: [...new Set(showings.map(({ where }) => where).filter(Boolean))],
      days: told[i]!.days,
      says: told[i]!.says,
    })),
    next: newThing(lasts.length, lasts.filter(({ first }) => first.good).length),
    shown: lasts.length,
    good: lasts.filter(({ first }) => first.good).length,
  }
}

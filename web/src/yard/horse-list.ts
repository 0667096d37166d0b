import type { DueRow, TodayRow } from '@still-pine/contract'

export const ORDERS = ['today', 'name', 'due', 'gate', 'least-asked'] as const
export type Order = (typeof ORDERS)[number]

export const ORDER_WORDS: Record<Order, string> = {
  today: 'today’s string',
  name: 'name',
  due: 'what is due',
  gate: 'nearest gate',
  'least-asked': 'not asked today first',
}

export const KEEPS = ['all', 'works', 'rests', 'mine', 'due'] as const
export type Keep = (typeof KEEPS)[number]

export const KEEP_WORDS: Record<Keep, string> = {
  all: 'every horse',
  works: 'works today',
  rests: 'rests today',
  mine: 'worked last by me',
  due: 'something is due',
}

/** A horse with all that the list tells of it; what is due is not known without signal. */
export interface ListedHorse extends TodayRow {
  readonly due: DueRow | null
}

export const withDue = (
  rows: readonly TodayRow[],
  due: readonly DueRow[] | undefined,
): readonly ListedHorse[] =>
  rows.map((row) => ({ ...row, due: due?.find(({ horseId }) => horseId === row.horse.id) ?? null }))

/** Letters as they are typed in a hurry: neither case nor accents count. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase()

const byName = (a: ListedHorse, b: ListedHorse): number => a.horse.name.localeCompare(b.horse.name)

const GRAVITY = { stop: 0, due: 1, soon: 2 } as const
const NOTHING = 3

/** The gravest thing that is due of a horse, as a number: lower is graver. */
const gravest = ({ due }: ListedHorse): number =>
  Math.min(NOTHING, ...(due?.notices ?? []).map(({ tone }) => GRAVITY[tone]))

/** How much of its next gate is still missing; a horse past every gate comes last. */
const farFromGate = ({ due }: ListedHorse): number =>
  due?.gate ? 1 - due.gate.holding / Math.max(1, due.gate.tracks) : 2

const BY: Partial<Record<Order, (horse: ListedHorse) => number>> = {
  due: gravest,
  gate: farFromGate,
  'least-asked': ({ answersToday }) => answersToday,
}

const keeps = (horse: ListedHorse, keep: Keep, me: string): boolean => {
  switch (keep) {
    case 'all':
      return true
    case 'works':
      return horse.plan !== null && !horse.plan.rests
    case 'rests':
      return horse.plan?.rests === true
    case 'mine':
      return horse.due?.lastBy === me
    case 'due':
      return gravest(horse) <= GRAVITY.due
  }
}

interface Wanted {
  readonly typed: string
  readonly order: Order
  readonly keep: Keep
  /** Who asks. */
  readonly me: string
}

/** The horses whose name, marks or origin hold all that was typed and that are to be kept, in the order chosen. */
export const listed = (
  rows: readonly ListedHorse[],
  { typed, order, keep, me }: Wanted,
): readonly ListedHorse[] => {
  const words = plain(typed).split(/\s+/).filter(Boolean)
  const found = rows.filter((row) => {
    const { horse } = row
    const text = plain([horse.name, horse.sex, horse.marks, horse.origin].join(' '))
    return words.every((word) => text.includes(word)) && keeps(row, keep, me)
  })
  const by = BY[order]
  if (by) return [...found].sort((a, b) => by(a) - by(b) || byName(a, b))
  return order === 'name' ? [...found].sort(byName) : found
}

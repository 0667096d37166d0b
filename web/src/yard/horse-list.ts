import type { TodayRow } from '@still-pine/contract'

export const ORDERS = ['today', 'name', 'least-asked'] as const
export type Order = (typeof ORDERS)[number]

export const ORDER_WORDS: Record<Order, string> = {
  today: 'today’s string',
  name: 'name',
  'least-asked': 'not asked today first',
}

/** Letters as they are typed in a hurry: neither case nor accents count. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase()

const byName = (a: TodayRow, b: TodayRow): number => a.horse.name.localeCompare(b.horse.name)

/** The horses whose name, marks or origin hold all that was typed, in the order that was chosen. */
export const listed = (
  rows: readonly TodayRow[],
  { typed, order }: { typed: string; order: Order },
): readonly TodayRow[] => {
  const words = plain(typed).split(/\s+/).filter(Boolean)
  const found = rows.filter(({ horse }) => {
    const text = plain([horse.name, horse.sex, horse.marks, horse.origin].join(' '))
    return words.every((word) => text.includes(word))
  })
  if (order === 'name') return [...found].sort(byName)
  if (order === 'least-asked')
    return [...found].sort((a, b) => a.answersToday - b.answersToday || byName(a, b))
  return found
}

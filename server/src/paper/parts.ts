import type { Day } from '@still-pine/core/answer'
import { paragraph, type Sheet } from './letters'

const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
})

export const dayWords = (day: Day): string => DAY.format(new Date(`${day}T00:00:00Z`))

/** A sentence of the core with its days as they are read on paper. */
export const withDays = (words: string): string => words.replace(/\b\d{4}-\d{2}-\d{2}\b/g, dayWords)

export interface Part {
  readonly title: string
  readonly lines: readonly string[]
  /** Said where there are none; without it the part is left out then. */
  readonly none?: string
}

/** A title with its lines. */
export const part = (sheet: Sheet, { title, lines, none }: Part): void => {
  if (lines.length === 0 && none === undefined) return
  sheet.y += 8
  paragraph(sheet, title, { size: 14, weight: 700, gap: 2 })
  if (lines.length === 0) paragraph(sheet, none ?? '', { grey: true })
  for (const line of lines) paragraph(sheet, line, { indent: 8, gap: 2 })
}

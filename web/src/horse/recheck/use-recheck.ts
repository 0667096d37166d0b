import type { Line } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { recheckSheet, type RecheckSheet } from '@still-pine/core/recheck'
import { useMemo } from 'react'
import { useLineOnQuery } from '../../app/api'
import { viewsIn } from '../views-in'

/** The last day before today on which anything was asked. */
const lastDayBefore = (line: Line): string | null =>
  line.tracks
    .flatMap(({ view }) => view.recentDays.map(({ day }) => day))
    .filter((day) => day < line.day)
    .sort()
    .at(-1) ?? null

/**
 * The re-check sheet of a horse: as it was when it was last worked against as it was this morning, so that what is
 * asked today does not change the sheet it is asked from.
 */
export const useRecheck = (
  line: Line | undefined,
  program: Program | undefined,
  /** The day a block was closed, where the sheet is made from what was frozen then. */
  since: string | null = null,
): { sheet: RecheckSheet | null; lastDay: string | null; error: unknown } => {
  const lastDay = since ?? (line ? lastDayBefore(line) : null)
  const horseId = line?.horse.id ?? ''
  const skip = { skip: !line || lastDay === null }
  const before = useLineOnQuery({ horseId, on: lastDay ?? '' }, skip)
  const eve = useLineOnQuery({ horseId, on: line ? addDays(line.day, -1) : '' }, skip)
  const sheet = useMemo(() => {
    if (!line || !program || !before.currentData || !eve.currentData) return null
    const views = [viewsIn(before.currentData), viewsIn(eve.currentData)] as const
    return recheckSheet(program, ...views, line.day)
  }, [line, program, before.currentData, eve.currentData])
  return { sheet, lastDay, error: before.error ?? eve.error }
}

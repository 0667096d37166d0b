import type { Line } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { recheckSheet, type RecheckSheet } from '@still-pine/core/recheck'
import { useMemo } from 'react'
import { useQuery } from '../../app/client'
import { permitHorse } from '../../shared/permit-horse'
import { viewsIn } from '../../shared/views-in'

/** The last day before today on which anything was asked. */
const lastDayBefore = (line: Line): string | null =>
  line.tracks
    .flatMap(({ view }) => view.recentDays.map(({ day }) => day))
    .filter((day) => day < line.day)
    .sort()
    .at(-1) ?? null

/**
 * The re-check sheet of a horse: each skill as it was when it was last worked against as it was this morning, so that
 * what is asked today does not change the sheet it is asked from.
 */
export const useRecheck = (
  line: Line | undefined,
  program: Program | undefined,
): { sheet: RecheckSheet | null; lastDay: string | null; error: unknown } => {
  const lastDay = line ? lastDayBefore(line) : null
  const horseId = line?.horse.id ?? ''
  const skip = { skip: !line || lastDay === null }
  const eve = useQuery('line', { horseId, on: line ? addDays(line.day, -1) : '' }, skip)
  const sheet = useMemo(() => {
    if (!line || !program || !eve.currentData) return null
    return recheckSheet(permitHorse(line, program), viewsIn(eve.currentData), line.day)
  }, [line, program, eve.currentData])
  return { sheet, lastDay, error: eve.error }
}

import { expose } from 'comlink'
import type { Program } from '@still-pine/core/program'
import { calendarOf, type GateDay } from '@still-pine/core/school-edit'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'

/** The same draws for every school, so that two calendars differ by the schools alone. */
const SEED = 20_260

const calendar = {
  work: (program: Program, workDays: number, heard: (day: number) => void): readonly GateDay[] => {
    const generator = xoroshiro128plus(SEED)
    return calendarOf(program, () => uniformFloat64(generator), { most: workDays, heard })
  },
}

export type CalendarWork = typeof calendar

expose(calendar)

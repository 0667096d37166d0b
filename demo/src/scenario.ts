import type { HorseForm } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import type { Nature } from '@still-pine/core/herd'
import { STANDARD_LAW } from '@still-pine/core/learning'

/** One horse of the made-up yard: how it is, and how it was worked. */
export interface DemoHorse {
  readonly seed: number
  readonly form: HorseForm
  readonly nature: Nature
  readonly sessions: number
  /** Days from one session to the next, and from the last one to today. */
  readonly every: number
  readonly endsBefore: number
}

export const DEMO_YARD = {
  yardName: 'Still Pine',
  timeZone: 'Europe/Oslo',
  personName: 'Ylva Tarn',
  email: 'starter@still-pine.example',
} as const

const monthsBefore = (today: Day, months: number): Day => addDays(today, -Math.round(months * 30.44))

/**
 * The horses, told from today. The last one has no answers: when it is there, the whole yard is, so an interrupted
 * loading is noticed and goes on.
 */
export const demoHorses = (today: Day): readonly DemoHorse[] => [
  {
    seed: 11,
    form: {
      name: 'Sedge',
      born: monthsBefore(today, 37),
      sex: 'gelding',
      kind: 'horse',
      marks: 'Dun, dark points, small star',
      origin: 'Off the reserve last spring',
      handled: false,
      arrived: addDays(today, -34),
    },
    nature: {
      law: { ...STANDARD_LAW, speed: 0.42 },
      ability: 0.9,
      calm: 0.7,
      stiffer: { side: 'right', by: 1.1 },
    },
    sessions: 12,
    every: 2,
    endsBefore: 1,
  },
  {
    seed: 4,
    form: {
      name: 'Lapwing',
      born: monthsBefore(today, 43),
      sex: 'mare',
      kind: 'pony',
      marks: 'Bay, white near hind sock',
      origin: 'From a farm by the lake',
      handled: true,
      arrived: addDays(today, -48),
    },
    nature: {
      law: { ...STANDARD_LAW, speed: 0.5 },
      ability: 0.9,
      calm: 0.8,
      stiffer: { side: 'left', by: 0.2 },
    },
    sessions: 18,
    every: 2,
    endsBefore: 1,
  },
  {
    seed: 7,
    form: {
      name: 'Whin',
      born: monthsBefore(today, 28),
      sex: 'mare',
      kind: 'horse',
      marks: 'Black bay, no white',
      origin: 'Off the reserve this week',
      handled: false,
      arrived: addDays(today, -2),
    },
    nature: { law: STANDARD_LAW, ability: 0, calm: -0.3, stiffer: { side: 'right', by: 0.4 } },
    sessions: 0,
    every: 2,
    endsBefore: 1,
  },
]

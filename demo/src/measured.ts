import type { PutMeasurement } from '@still-pine/contract'
import { addDays, daysBetween, type Day } from '@still-pine/core/answer'
import { weightShare } from '@still-pine/core/body'
import { seededDraw } from './draw'
import type { DemoHorse } from './scenario'

/** What each kind weighs and stands grown, kg and cm, in the made-up yard. */
const GROWN = {
  horse: { kg: 500, cm: 154 },
  cob: { kg: 470, cm: 146 },
  pony: { kg: 290, cm: 126 },
  mule: { kg: 400, cm: 142 },
  donkey: { kg: 180, cm: 110 },
} as const

const EVERY_DAYS = 14
const MOST_BACK_DAYS = 70
const CM_DIVISOR = 11_877
/** Of a made-up horse, the length along its side by its girth. */
const LENGTH_SHARE = 0.9
/** A tape is laid a little otherwise each time, cm. */
const TAPE_NOISE_CM = 0.8
/** A horse on box rest with an abscess eats less, share a day. */
const LAME_LOSES = 0.0016

const half = (cm: number): number => Math.round(2 * cm) / 2

/** What the made-up yard has measured of a horse; nothing of one that nobody can touch yet. */
export const measuredOf = ({ form, seed, checks }: DemoHorse, today: Day): readonly PutMeasurement[] => {
  const { born, kind, arrived } = form
  if (born === null) return []
  const draw = seededDraw(seed + 1_000)
  for (let i = 0; i < 20; i++) draw()
  const grown = GROWN[kind]
  const size = 0.94 + 0.12 * draw()
  const isLame = checks.some((check) => check.kind === 'veterinary-hold')
  const back = Math.min(MOST_BACK_DAYS, daysBetween(arrived, today) - 2)
  const days = Array.from({ length: Math.floor(back / EVERY_DAYS) + 1 }, (_, i) => back - i * EVERY_DAYS)
  return days.map((ago, nth) => {
    const on = addDays(today, -ago - 1)
    const months = daysBetween(born, on) / 30.44
    const lost = isLame ? 1 - LAME_LOSES * (back - ago) : 1
    const kg = grown.kg * size ** 3 * weightShare(months) * lost
    const girth = Math.cbrt((kg * CM_DIVISOR) / LENGTH_SHARE) + (draw() - 0.5) * TAPE_NOISE_CM
    const withers = grown.cm * size * (months >= 60 ? 1 : 0.95 + (0.05 * Math.min(months, 60)) / 60)
    const isFull = nth % 2 === 0
    return {
      on,
      girthCm: half(girth),
      lengthCm: half(girth * LENGTH_SHARE),
      withersCm: isFull ? half(withers) : null,
      croupCm: isFull ? half(withers + (months < 48 ? 2.5 : 0.5)) : null,
      condition: isFull ? (isLame ? 4.5 : 5) : null,
      scaleKg: null,
      note: '',
      takenBack: false,
    }
  })
}

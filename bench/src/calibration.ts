import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { calibrationOf, HERDS, predictedOf, type Calibration } from '../../core/tests/trial/calibration'
import type { Figure } from './measure'

const HORSES = 40
const WORK_DAYS = 36
/** Neighbouring seeds begin alike, so the first draws are thrown away. */
const THROWN_AWAY = 20

const drawsOf =
  (herd: number) =>
  (n: number): (() => number) => {
    const generator = xoroshiro128plus(104_729 * (herd + 1) + 7919 * n)
    const draw = (): number => (generator.next() >>> 0) / 2 ** 32
    for (let i = 0; i < THROWN_AWAY; i++) draw()
    return draw
  }

const figuresOf = (name: string, told: Calibration): readonly Figure[] => [
  { name: `${name}: first asks`, value: told.predictions, unit: '', aim: '' },
  { name: `${name}: mean error`, value: told.meanError, unit: '', aim: '≤ 0.02' },
  { name: `${name}: worst tenth of 200 asks or more`, value: told.worstTenth, unit: '', aim: '≤ 0.06' },
  { name: `${name}: Brier skill against the base rate`, value: told.better ?? 0, unit: '', aim: '' },
]

/** Whether the chances come true: five herds of made-up horses that the judge knows nothing of. */
export const calibrationFigures = (heard: (done: string) => void): readonly Figure[] => {
  const all = HERDS.map((herd, i) => {
    const told = predictedOf(herd, { horses: HORSES, days: WORK_DAYS, drawOf: drawsOf(i) })
    heard(`herd ${i + 1} of ${HERDS.length}`)
    return { herd, told }
  })
  const together = (about: 'light' | 'calm'): Calibration =>
    calibrationOf(all.flatMap(({ told }) => told[about]))
  return [
    ...all.flatMap(({ herd: { talent, speed }, told }) => {
      const name = `talent ${talent}, speed ${speed}`
      return [
        ...figuresOf(`${name}, light`, calibrationOf(told.light)),
        ...figuresOf(`${name}, not tight`, calibrationOf(told.calm)),
        {
          name: `${name}: log-likelihood an answer`,
          value: told.logLikelihood / told.answers,
          unit: '',
          aim: '',
        },
      ]
    }),
    ...figuresOf('all herds, light', together('light')),
    ...figuresOf('all herds, not tight', together('calm')),
  ]
}

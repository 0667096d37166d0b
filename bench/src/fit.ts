import { DEFAULTS, MANY_HORSES, ONCE_A_DAY, SHIFTED, shifted } from '../../core/tests/trial/fitted-yards'
import type { FoundValues, ToFind } from './find-values'
import type { Figure } from './measure'
import type { Threads } from './threads'

const PLAIN_YARDS = 10

const SHIFTED_YARDS = Object.keys(SHIFTED) as (keyof typeof SHIFTED)[]

/** Whether a yard's own values are found in its log, and left alone where there is nothing to find. */
export const fitFigures = async (
  threads: Threads,
  heard: (done: string) => void,
): Promise<readonly Figure[]> => {
  const find = async (name: string, task: ToFind): Promise<FoundValues> => {
    const found = await threads.findValues(task)
    heard(name)
    return found
  }
  const plain = Array.from({ length: PLAIN_YARDS }, (_, n) =>
    find(`plain yard ${n + 1} of ${PLAIN_YARDS}`, {
      values: DEFAULTS,
      yard: n % 2 === 0 ? MANY_HORSES : ONCE_A_DAY,
      seed: n,
      moved: null,
    }),
  )
  const figures = SHIFTED_YARDS.map(async (name, i): Promise<Figure[]> => {
    const { moved, yard } = SHIFTED[name]
    const values = shifted(name)
    const { fit, samplingError, truthBetter } = await find(name, { values, yard, seed: 100 + i, moved })
    return [
      { name: `${name}: ${moved}, truth`, value: values[moved], unit: '', aim: '' },
      { name: `${name}: ${moved}, found`, value: fit.values[moved], unit: '', aim: '' },
      {
        name: `${name}: distance in sampling errors`,
        value: Math.abs(fit.values[moved] - values[moved]) / samplingError!,
        unit: '',
        aim: '≤ 2',
      },
      {
        name: `${name}: held-out days better, an answer`,
        value: fit.heldOut - fit.inUse,
        unit: '',
        aim: '≥ 0.01',
      },
      { name: `${name}: the same with the true values`, value: truthBetter, unit: '', aim: '' },
    ]
  })
  const left = (await Promise.all(plain)).filter(({ fit }) => !fit.isWorthIt).length
  return [
    ...(await Promise.all(figures)).flat(),
    {
      name: `plain yards where nothing was taken up, of ${PLAIN_YARDS}`,
      value: left,
      unit: '',
      aim: '≥ 9',
    },
  ]
}

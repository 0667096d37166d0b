import type { StepAnswer } from '@still-pine/contract'
import { calmWord, GRADE_WORDS, PLACE_WORDS, type Side } from '@still-pine/core/answer'
import { rungName, type Step } from '@still-pine/core/program'
import type { EChartsCoreOption } from 'echarts/core'
import { told, valueAxis } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import { SIDE_LOOK } from './sides'

/** More than these are scrolled through, the newest in sight. */
const IN_SIGHT = 80

/** A calm has its shape; only a tight one is filled. */
const SHAPES = [
  { calm: 0, symbol: 'circle', filled: false },
  { calm: 1, symbol: 'triangle', filled: false },
  { calm: 2, symbol: 'rect', filled: true },
] as const

interface Numbered {
  readonly answer: Drawn
  /** The how manieth on its side. */
  readonly n: number
}

/** Numbers alone: the library copies every object it is given, and of these there are thousands. */
const points = (numbered: readonly Numbered[]) => ({
  dimensions: ['answer', 'grade', 'cold'],
  data: Float64Array.from(numbered.flatMap(({ answer, n }) => [n, answer.grade, answer.cold ? 1 : 0])),
})

const sizeOf = (point: ArrayLike<number>): number => (point[2] === 1 ? 14 : 8)

export interface Drawn extends StepAnswer {
  /** The first of its day on its side. */
  readonly cold: boolean
}

/** The answers of one side, with the first of each day known. */
export const drawnOf = (answers: readonly StepAnswer[], side: Side): readonly Drawn[] => {
  const ofSide = answers.filter((answer) => answer.side === side)
  return ofSide.map((answer, i) => ({ ...answer, cold: ofSide[i - 1]?.day !== answer.day }))
}

const wordsOf = (step: Step, { day, grade, calm, rung, place, personName, cold }: Drawn): string =>
  [
    `${day}${cold ? ', first of its day' : ''}`,
    `${GRADE_WORDS[step.kind][grade]}, ${calm === null ? 'calm not noted' : calmWord(calm)}`,
    `rung ${rung}, ${rungName(step, rung)}${place ? `, ${PLACE_WORDS[place]}` : ''}`,
    personName,
  ].join('\n')

/** Lightness answer by answer: lighter is higher, steps and no smooth line; the shape is the calm, a first ask is bigger. */
export const lightnessOption = (
  step: Step,
  sides: readonly { readonly side: Side; readonly answers: readonly Drawn[] }[],
): EChartsCoreOption => {
  const longest = Math.max(...sides.map(({ answers }) => answers.length))
  const series = sides.flatMap(({ side, answers }) => {
    const look = SIDE_LOOK[side]
    const numbered = answers.map((answer, i) => ({ answer, n: i + 1 }))
    const line = {
      side,
      numbered,
      drawn: {
        type: 'line',
        name: look.name,
        step: 'middle',
        silent: true,
        showSymbol: false,
        lineStyle: { color: colour(look.colour), type: look.line, width: 2 },
      },
    }
    const shapes = SHAPES.map(({ calm, symbol, filled }) => ({
      side,
      numbered: numbered.filter(({ answer }) => answer.calm === calm),
      drawn: {
        type: 'scatter',
        symbol,
        symbolSize: sizeOf,
        itemStyle: {
          color: colour(filled ? look.colour : 'panel'),
          borderColor: colour(look.colour),
          borderWidth: filled ? 0 : 2.4,
        },
      },
    }))
    return [line, ...shapes]
  })
  return {
    grid: { left: 124, right: 16, top: 12, bottom: longest > IN_SIGHT ? 74 : 44 },
    xAxis: valueAxis({
      min: 0,
      max: Math.max(2, longest) + 0.5,
      minInterval: 1,
      name: 'answer',
      nameGap: 26,
      axisLine: { onZero: false },
      axisLabel: { showMinLabel: false, showMaxLabel: false },
      splitLine: { show: false },
    }),
    yAxis: valueAxis({
      min: -0.3,
      max: 4.3,
      interval: 1,
      inverse: true,
      axisLabel: {
        customValues: [0, 1, 2, 3, 4],
        formatter: (grade: number) => GRADE_WORDS[step.kind][grade as 0] ?? '',
      },
      axisTick: { customValues: [0, 1, 2, 3, 4] },
    }),
    tooltip: told('item', {
      formatter: ({ seriesIndex, dataIndex }: { seriesIndex: number; dataIndex: number }) => {
        const { side, numbered } = series[seriesIndex]!
        return `${SIDE_LOOK[side].name}\n${wordsOf(step, numbered[dataIndex]!.answer)}`
      },
    }),
    ...(longest > IN_SIGHT
      ? {
          dataZoom: [
            { type: 'slider', startValue: longest - IN_SIGHT, endValue: longest, height: 22, bottom: 8 },
            { type: 'inside' },
          ],
        }
      : {}),
    series: series.map(({ drawn, numbered }) => ({ ...drawn, ...points(numbered) })),
  }
}

import type { EvidenceAnswer } from '@still-pine/contract'
import { calmWord, GRADE_WORDS, PLACE_WORDS, type Side } from '@still-pine/core/answer'
import { rungName, type Step } from '@still-pine/core/program'
import type { EChartsCoreOption } from 'echarts/core'
import { colour } from '../../drawing/chart'
import { SIDE_LOOK } from './sides'

/** More than these are scrolled through, the newest in sight. */
const IN_SIGHT = 80

const SHAPES = ['circle', 'triangle', 'rect'] as const

export interface Drawn extends EvidenceAnswer {
  /** The first of its day on its side. */
  readonly cold: boolean
}

/** The answers of one side that were asked, with the first of each day known. */
export const drawnOf = (answers: readonly EvidenceAnswer[], side: Side): readonly Drawn[] => {
  const ofSide = answers.filter((answer) => answer.side === side && !answer.uncued)
  return ofSide.map((answer, i) => ({ ...answer, cold: ofSide[i - 1]?.day !== answer.day }))
}

const told = (step: Step, { day, grade, calm, rung, place, personName, cold }: Drawn): string =>
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
  const ink = colour('ink')
  return {
    grid: { left: 124, right: 16, top: 12, bottom: longest > IN_SIGHT ? 74 : 44 },
    xAxis: {
      type: 'value',
      min: 0,
      max: Math.max(2, longest) + 0.5,
      minInterval: 1,
      name: 'answer',
      nameLocation: 'middle',
      nameGap: 26,
      axisLine: { onZero: false },
      axisLabel: { color: ink, fontSize: 15, showMinLabel: false, showMaxLabel: false },
      nameTextStyle: { color: ink, fontSize: 15 },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: -0.3,
      max: 4.3,
      interval: 1,
      inverse: true,
      axisLabel: {
        color: ink,
        fontSize: 15,
        customValues: [0, 1, 2, 3, 4],
        formatter: (grade: number) => GRADE_WORDS[step.kind][grade as 0] ?? '',
      },
      axisTick: { customValues: [0, 1, 2, 3, 4] },
      splitLine: { lineStyle: { color: colour('line') } },
    },
    tooltip: {
      trigger: 'item',
      backgroundColor: colour('panel'),
      textStyle: { color: ink, fontSize: 16 },
      extraCssText: 'white-space: pre-line',
      formatter: ({ data }: { data: { told: string } }) => data.told,
    },
    ...(longest > IN_SIGHT
      ? {
          dataZoom: [
            { type: 'slider', startValue: longest - IN_SIGHT, endValue: longest, height: 22, bottom: 8 },
            { type: 'inside' },
          ],
        }
      : {}),
    series: sides.map(({ side, answers }) => ({
      type: 'line',
      name: SIDE_LOOK[side].name,
      step: 'middle',
      lineStyle: { color: colour(SIDE_LOOK[side].colour), type: SIDE_LOOK[side].line, width: 2 },
      itemStyle: { color: colour(SIDE_LOOK[side].colour), borderColor: colour(SIDE_LOOK[side].colour) },
      data: answers.map((answer, i) => ({
        value: [i + 1, answer.grade],
        told: `${SIDE_LOOK[side].name}\n${told(step, answer)}`,
        symbol: answer.calm === null ? 'none' : SHAPES[answer.calm],
        symbolSize: answer.cold ? 14 : 8,
        itemStyle: answer.calm === 2 ? {} : { color: colour('panel'), borderWidth: 2.4 },
      })),
    })),
  }
}

import { chancePercent, percent } from '@still-pine/core/answer'
import type { Moment } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { chanceAxis, dayAxis, inked, lineOf, told } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import type { StepEvidence } from '@still-pine/contract'
import { SIDE_LOOK } from './sides'

const point = ({ day, chance }: Moment): [string, number] => [day, chance]

/** The chance of a light first ask over the days: up with work, worn by rest, and what rest alone will do next. */
export const chanceOption = (sides: StepEvidence['sides'], need: number, on: string): EChartsCoreOption => {
  const last = sides.flatMap(({ moments }) => moments).at(-1)?.day ?? on
  return {
    grid: { left: 64, right: 16, top: 12, bottom: 30 },
    xAxis: dayAxis(),
    yAxis: chanceAxis({ interval: 0.25 }),
    tooltip: told('axis', {
      valueFormatter: (value: unknown) => (typeof value === 'number' ? chancePercent(value) : ''),
    }),
    series: sides.map(({ side, moments }, i) => ({
      type: 'line',
      name: SIDE_LOOK[side].name,
      showSymbol: false,
      ...lineOf(SIDE_LOOK[side].colour, SIDE_LOOK[side].line),
      data: moments.map(point),
      ...(i === 0
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              label: {
                formatter: `needs ${percent(need)}`,
                ...inked(),
                backgroundColor: colour('ground'),
                position: 'insideStartBottom',
              },
              lineStyle: { color: colour('ink'), type: 'dotted' },
              data: [{ yAxis: need }],
            },
            markArea: {
              silent: true,
              label: { ...inked(), position: 'insideBottom' },
              itemStyle: { color: colour('line'), opacity: 0.35 },
              data: [[{ xAxis: on, name: 'with rest alone' }, { xAxis: last }]],
            },
          }
        : {}),
    })),
  }
}

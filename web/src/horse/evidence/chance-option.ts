import { chancePercent, percent } from '@still-pine/core/answer'
import type { Moment } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { colour } from '../../drawing/chart'
import type { StepEvidence } from '@still-pine/contract'
import { SIDE_LOOK } from './sides'

const point = ({ day, chance }: Moment): [string, number] => [day, chance]

/** The chance of a light first ask over the days: up with work, worn by rest, and what rest alone will do next. */
export const chanceOption = (sides: StepEvidence['sides'], need: number, on: string): EChartsCoreOption => {
  const ink = colour('ink')
  const last = sides.flatMap(({ moments }) => moments).at(-1)?.day ?? on
  return {
    grid: { left: 64, right: 16, top: 12, bottom: 30 },
    xAxis: { type: 'time', axisLabel: { color: ink, fontSize: 15, hideOverlap: true } },
    yAxis: {
      type: 'value',
      min: 0,
      max: 1,
      interval: 0.25,
      axisLabel: { color: ink, fontSize: 15, formatter: percent },
      splitLine: { lineStyle: { color: colour('line') } },
    },
    tooltip: {
      trigger: 'axis',
      backgroundColor: colour('panel'),
      textStyle: { color: ink, fontSize: 16 },
      valueFormatter: (value: unknown) => (typeof value === 'number' ? chancePercent(value) : ''),
    },
    series: sides.map(({ side, moments }, i) => ({
      type: 'line',
      name: SIDE_LOOK[side].name,
      showSymbol: false,
      lineStyle: { color: colour(SIDE_LOOK[side].colour), type: SIDE_LOOK[side].line, width: 2.5 },
      itemStyle: { color: colour(SIDE_LOOK[side].colour) },
      data: moments.map(point),
      ...(i === 0
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              label: {
                formatter: `needs ${percent(need)}`,
                color: ink,
                fontSize: 15,
                backgroundColor: colour('ground'),
                position: 'insideStartBottom',
              },
              lineStyle: { color: ink, type: 'dotted' },
              data: [{ yAxis: need }],
            },
            markArea: {
              silent: true,
              label: { color: ink, fontSize: 15, position: 'insideBottom' },
              itemStyle: { color: colour('line'), opacity: 0.35 },
              data: [[{ xAxis: on, name: 'with rest alone' }, { xAxis: last }]],
            },
          }
        : {}),
    })),
  }
}

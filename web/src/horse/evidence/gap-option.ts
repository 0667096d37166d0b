import type { GapOn } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { colour } from '../../drawing/chart'

/** A gap of this much is worth working on. */
const MATTERS = 0.15

const points = (gap: number): string =>
  gap === 0 ? 'even' : `${Math.round(Math.abs(gap) * 100)} ${gap > 0 ? 'right behind' : 'left behind'}`

/** Left less right over the days: above the middle the right side is behind, below it the left. */
export const gapOption = (gaps: readonly GapOn[]): EChartsCoreOption => {
  const ink = colour('ink')
  const most = Math.max(0.3, ...gaps.map(({ gap }) => Math.abs(gap)))
  const top = Math.ceil(most * 10) / 10
  return {
    grid: { left: 124, right: 16, top: 12, bottom: 30 },
    xAxis: {
      type: 'time',
      axisLabel: { color: ink, fontSize: 15, hideOverlap: true },
      axisLine: { onZero: false },
    },
    yAxis: {
      type: 'value',
      min: -top,
      max: top,
      axisLabel: { color: ink, fontSize: 15, customValues: [-top, 0, top], formatter: points },
      axisTick: { customValues: [-top, 0, top] },
      splitLine: { show: false },
    },
    tooltip: {
      trigger: 'axis',
      backgroundColor: colour('panel'),
      textStyle: { color: ink, fontSize: 16 },
      valueFormatter: (value: unknown) => (typeof value === 'number' ? points(value) : ''),
    },
    series: [
      {
        type: 'line',
        name: 'gap',
        step: 'end',
        showSymbol: false,
        lineStyle: { color: colour('way'), width: 2.5 },
        itemStyle: { color: colour('way') },
        data: gaps.map(({ day, gap }) => [day, gap]),
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: ink, type: 'solid', width: 1 },
          data: [{ yAxis: 0 }],
        },
        markArea: {
          silent: true,
          itemStyle: { color: colour('line'), opacity: 0.35 },
          data: [[{ yAxis: -MATTERS }, { yAxis: MATTERS }]],
        },
      },
    ],
  }
}

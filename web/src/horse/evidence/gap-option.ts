import type { GapOn } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { dayAxis, lineOf, told, valueAxis } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'

/** A gap of this much is worth working on. */
const MATTERS = 0.15

const points = (gap: number): string =>
  gap === 0 ? 'even' : `${Math.round(Math.abs(gap) * 100)} ${gap > 0 ? 'right behind' : 'left behind'}`

/** Left less right over the days: above the middle the right side is behind, below it the left. */
export const gapOption = (gaps: readonly GapOn[]): EChartsCoreOption => {
  const most = Math.max(0.3, ...gaps.map(({ gap }) => Math.abs(gap)))
  const top = Math.ceil(most * 10) / 10
  return {
    grid: { left: 124, right: 16, top: 12, bottom: 30 },
    xAxis: dayAxis({ axisLine: { onZero: false } }),
    yAxis: valueAxis({
      min: -top,
      max: top,
      axisLabel: { customValues: [-top, 0, top], formatter: points },
      axisTick: { customValues: [-top, 0, top] },
      splitLine: { show: false },
    }),
    tooltip: told('axis', {
      valueFormatter: (value: unknown) => (typeof value === 'number' ? points(value) : ''),
    }),
    series: [
      {
        type: 'line',
        name: 'gap',
        step: 'end',
        showSymbol: false,
        ...lineOf('way'),
        data: gaps.map(({ day, gap }) => [day, gap]),
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: colour('ink'), type: 'solid', width: 1 },
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

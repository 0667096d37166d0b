import type { WeightOn } from '@still-pine/core/body'
import type { EChartsCoreOption } from 'echarts/core'
import { dayAxis, lineOf, told, valueAxis } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'

const STEP_KG = 50

/** Weight over the months: each a mark, with how far a tape may be off drawn above and below it. */
export const weightOption = (weights: readonly WeightOn[]): EChartsCoreOption => {
  const least = Math.min(...weights.map(({ lowKg }) => lowKg))
  const most = Math.max(...weights.map(({ highKg }) => highKg))
  const toStep = (kg: number, round: (n: number) => number): number => round(kg / STEP_KG) * STEP_KG
  return {
    grid: { left: 64, right: 20, top: 14, bottom: 30 },
    xAxis: dayAxis(),
    yAxis: valueAxis({
      min: toStep(least, Math.floor),
      max: toStep(most, Math.ceil),
      interval: STEP_KG,
      axisLabel: { formatter: '{value} kg' },
    }),
    tooltip: told('axis', {
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${Math.round(value)} kg` : ''),
    }),
    series: [
      {
        type: 'line',
        name: 'weight',
        symbolSize: 10,
        ...lineOf('solid'),
        data: weights.map(({ on, kg }) => [on, kg]),
      },
      ...(['lowKg', 'highKg'] as const).map((bound) => ({
        type: 'line',
        name: bound === 'lowKg' ? 'at least' : 'at most',
        showSymbol: false,
        lineStyle: { color: colour('way'), type: 'dotted', width: 2 },
        itemStyle: { color: colour('way') },
        data: weights.map((weight) => [weight.on, weight[bound]]),
      })),
    ],
  }
}

import { addDays, daysBetween, type Day } from '@still-pine/core/answer'
import type { DrawnFuture } from '@still-pine/core/forecast'
import type { EChartsCoreOption } from 'echarts/core'
import { inked, told } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import { plainDay } from '../../shared/words'

const STEP_DAYS = 3
const MIDDLE = [0.1, 0.9] as const

/** How many of ten stand before the gate by each day. */
export const shareByDay = (
  draws: readonly Pick<DrawnFuture, 'days'>[],
  horizonDays: number,
): readonly (readonly [days: number, share: number])[] =>
  Array.from({ length: Math.floor(horizonDays / STEP_DAYS) + 1 }, (_, i) => {
    const day = i * STEP_DAYS
    return [day, draws.filter(({ days }) => days !== null && days <= day).length / draws.length] as const
  })

interface Fan {
  readonly from: Day
  readonly horizonDays: number
  readonly by: Day | null
}

const LEAST_SHOWN_DAYS = 30
const ROOM_DAYS = 15

/** As much of the calendar as something happens on: to the last draw that came, and the day that was asked for. */
const shownDays = (draws: readonly DrawnFuture[], { from, horizonDays, by }: Fan): number => {
  const came = draws.map(({ days }) => days ?? horizonDays)
  const asked = by === null ? 0 : daysBetween(from, by)
  return Math.min(horizonDays, Math.max(LEAST_SHOWN_DAYS, ROOM_DAYS + Math.max(asked, ...came)))
}

/** The fan on the calendar: how many of ten such horses stand before the gate by a day; the middle eight shaded. */
export const fanOption = (
  draws: readonly DrawnFuture[],
  { from, horizonDays, by }: Fan,
): EChartsCoreOption => {
  const ink = colour('ink')
  const shares = shareByDay(draws, shownDays(draws, { from, horizonDays, by }))
  const dayAt = (share: number): number => shares.find(([, is]) => is >= share)?.[0] ?? horizonDays
  const [low, high] = MIDDLE.map(dayAt) as [number, number]
  return {
    grid: { left: 44, right: 16, top: 28, bottom: 34 },
    xAxis: {
      type: 'category',
      boundaryGap: false,
      data: shares.map(([days]) => addDays(from, days)),
      axisLabel: {
        ...inked(14),
        formatter: (day: string) => plainDay(day),
        interval: Math.max(1, Math.round(shares.length / 6)),
      },
      axisLine: { lineStyle: { color: ink } },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: 10,
      interval: 5,
      axisLabel: inked(14),
      splitLine: { lineStyle: { color: colour('line') } },
    },
    tooltip: told('axis', {
      formatter: ([{ axisValue, data }]: [{ axisValue: string; data: number }]) =>
        `${Math.round(data)} of 10 by ${plainDay(axisValue)}`,
    }),
    series: [
      {
        type: 'line',
        showSymbol: false,
        lineStyle: { color: colour('way'), width: 3 },
        data: shares.map(([, share]) => 10 * share),
        markArea: {
          silent: true,
          itemStyle: { color: colour('way-fill'), opacity: 0.25 },
          data: [[{ xAxis: addDays(from, low) }, { xAxis: addDays(from, high) }]],
        },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { ...inked(14), formatter: 'asked for' },
          lineStyle: { color: colour('stop'), type: 'solid', width: 3 },
          data:
            by === null || by < from || by > addDays(from, horizonDays)
              ? []
              : [{ xAxis: shares.map(([days]) => addDays(from, days)).find((day) => day >= by)! }],
        },
      },
    ],
  }
}

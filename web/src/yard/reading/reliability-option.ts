import { percent } from '@still-pine/core/answer'
import type { Reliability } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { chanceAxis, told } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'

/** What was predicted against what came, in tenths: on the dotted line the two agree. */
export const reliabilityOption = ({ tenths }: Reliability, axis: string): EChartsCoreOption => {
  const ink = colour('ink')
  return {
    grid: { left: 72, right: 24, top: 16, bottom: 52 },
    xAxis: chanceAxis({ interval: 0.25, name: 'chance that was said', nameGap: 30 }),
    yAxis: chanceAxis({ interval: 0.25, name: axis, nameGap: 50 }),
    tooltip: told('item', { formatter: ({ data }: { data: { told?: string } }) => data.told ?? '' }),
    series: [
      {
        type: 'line',
        silent: true,
        showSymbol: false,
        lineStyle: { color: ink, type: 'dotted', width: 2 },
        data: [
          [0, 0],
          [1, 1],
        ],
      },
      {
        type: 'line',
        silent: true,
        showSymbol: false,
        lineStyle: { color: colour('way'), width: 3 },
        data: tenths.flatMap(({ said, spread }) => [
          [said, spread.low],
          [said, spread.high],
          [null, null],
        ]),
      },
      {
        type: 'scatter',
        symbol: 'circle',
        symbolSize: 14,
        itemStyle: { color: colour('solid'), borderColor: ink, borderWidth: 1.5 },
        data: tenths.map(({ said, came, predictions, spread }) => ({
          value: [said, came],
          told: `${percent(said)} was said\n${percent(came)} came (${percent(spread.low)} to ${percent(spread.high)})\nof ${predictions} first asks`,
        })),
      },
    ],
  }
}

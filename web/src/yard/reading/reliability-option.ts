import { percent } from '@still-pine/core/answer'
import type { Reliability } from '@still-pine/core/evidence'
import type { EChartsCoreOption } from 'echarts/core'
import { colour } from '../../drawing/chart'

/** What was predicted against what came, in tenths: on the dotted line the two agree. */
export const reliabilityOption = ({ tenths }: Reliability): EChartsCoreOption => {
  const ink = colour('ink')
  const axis = {
    type: 'value',
    min: 0,
    max: 1,
    interval: 0.25,
    axisLabel: { color: ink, fontSize: 15, formatter: percent },
    splitLine: { lineStyle: { color: colour('line') } },
    nameLocation: 'middle',
    nameTextStyle: { color: ink, fontSize: 15 },
  }
  return {
    grid: { left: 72, right: 24, top: 16, bottom: 52 },
    xAxis: { ...axis, name: 'chance that was said', nameGap: 30 },
    yAxis: { ...axis, name: 'came light', nameGap: 50 },
    tooltip: {
      trigger: 'item',
      backgroundColor: colour('panel'),
      textStyle: { color: ink, fontSize: 16 },
      extraCssText: 'white-space: pre-line',
      formatter: ({ data }: { data: { told?: string } }) => data.told ?? '',
    },
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

import type { EChartsCoreOption } from 'echarts/core'
import { colour } from '../../drawing/chart'
import type { Drawn } from './lightness-option'

/** Pull and release, answer by answer, of those with the gauge on: newtons as bars' tips, seconds as rings. */
export const feelOption = (answers: readonly Drawn[]): EChartsCoreOption => {
  const ink = colour('ink')
  const axis = (name: string, position: 'left' | 'right') => ({
    type: 'value',
    min: 0,
    name,
    position,
    nameLocation: 'middle',
    nameGap: 42,
    nameTextStyle: { color: ink, fontSize: 15 },
    axisLabel: { color: ink, fontSize: 15 },
    splitLine: { show: position === 'left', lineStyle: { color: colour('line') } },
  })
  const points = (value: (answer: Drawn) => number | null): [number, number][] =>
    answers.flatMap((answer, i): [number, number][] => {
      const y = value(answer)
      return y === null ? [] : [[i + 1, y]]
    })
  return {
    grid: { left: 64, right: 64, top: 12, bottom: 44 },
    xAxis: {
      type: 'value',
      min: 0,
      max: answers.length + 1,
      minInterval: 1,
      name: 'answer with the gauge on',
      nameLocation: 'middle',
      nameGap: 26,
      nameTextStyle: { color: ink, fontSize: 15 },
      axisLabel: { color: ink, fontSize: 15, showMinLabel: false, showMaxLabel: false },
      splitLine: { show: false },
    },
    yAxis: [axis('pull, N', 'left'), axis('let go after, s', 'right')],
    tooltip: {
      trigger: 'axis',
      backgroundColor: colour('panel'),
      textStyle: { color: ink, fontSize: 16 },
    },
    series: [
      {
        type: 'line',
        step: 'middle',
        name: 'pull, N',
        lineStyle: { color: colour('way'), width: 2.5 },
        itemStyle: { color: colour('way') },
        symbol: 'rect',
        symbolSize: 7,
        data: points(({ peakNewtons }) => peakNewtons),
      },
      {
        type: 'line',
        step: 'middle',
        name: 'let go after, s',
        yAxisIndex: 1,
        lineStyle: { color: colour('solid'), width: 2.5, type: 'dashed' },
        itemStyle: { color: colour('solid') },
        symbol: 'emptyCircle',
        symbolSize: 9,
        data: points(({ releaseSeconds }) => releaseSeconds),
      },
    ],
  }
}

import type { EChartsCoreOption } from 'echarts/core'
import { lineOf, told, valueAxis } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import type { Drawn } from './lightness-option'

/** Pull and release, answer by answer, of those with the gauge on: newtons as bars' tips, seconds as rings. */
export const feelOption = (answers: readonly Drawn[]): EChartsCoreOption => {
  const axis = (name: string, position: 'left' | 'right') =>
    valueAxis({
      min: 0,
      name,
      nameGap: 42,
      position,
      splitLine: { show: position === 'left', lineStyle: { color: colour('line') } },
    })
  const points = (value: (answer: Drawn) => number | null): [number, number][] =>
    answers.flatMap((answer, i): [number, number][] => {
      const y = value(answer)
      return y === null ? [] : [[i + 1, y]]
    })
  return {
    grid: { left: 64, right: 64, top: 12, bottom: 44 },
    xAxis: valueAxis({
      min: 0,
      max: answers.length + 1,
      minInterval: 1,
      name: 'answer with the gauge on',
      nameGap: 26,
      axisLabel: { showMinLabel: false, showMaxLabel: false },
      splitLine: { show: false },
    }),
    yAxis: [axis('pull, N', 'left'), axis('let go after, s', 'right')],
    tooltip: told('axis', {}),
    series: [
      {
        type: 'line',
        step: 'middle',
        name: 'pull, N',
        ...lineOf('way'),
        symbol: 'rect',
        symbolSize: 7,
        data: points(({ peakNewtons }) => peakNewtons),
      },
      {
        type: 'line',
        step: 'middle',
        name: 'let go after, s',
        yAxisIndex: 1,
        ...lineOf('solid', 'dashed'),
        symbol: 'emptyCircle',
        symbolSize: 9,
        data: points(({ releaseSeconds }) => releaseSeconds),
      },
    ],
  }
}

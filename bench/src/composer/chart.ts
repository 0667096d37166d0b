import { LineChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TitleComponent } from 'echarts/components'
import { init, use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { MOST_DAYS, PLANNER_NAMES, type PlannerName, type Row } from './shard'
import { standardRows } from './summary'

use([LineChart, GridComponent, LegendComponent, TitleComponent, SVGRenderer])

const LOOK: Record<PlannerName, { readonly name: string; readonly color: string; readonly type: string }> = {
  composer: { name: 'the plan', color: '#1f5a42', type: 'solid' },
  plain: { name: 'down the path', color: '#85481d', type: 'dashed' },
  greedy: { name: 'what teaches most', color: '#35506f', type: 'dotted' },
}

/** How many in a hundred horses stood before the gate after so many work days, by each planner. */
export const chartOf = (rows: readonly Row[]): string => {
  const herd = standardRows(rows)
  const chart = init(null, null, { renderer: 'svg', ssr: true, width: 820, height: 420 })
  const share = (planner: PlannerName, day: number): number =>
    (100 * herd.filter((row) => (row[planner].workDays ?? Infinity) <= day).length) / herd.length
  chart.setOption({
    animation: false,
    backgroundColor: '#ffffff',
    title: {
      text: `Horses in a hundred before First time up, after so many work days (${herd.length} made-up horses)`,
      textStyle: { fontSize: 15 },
      left: 12,
      top: 8,
    },
    legend: { top: 36, itemGap: 48 },
    grid: { left: 56, right: 24, top: 76, bottom: 48 },
    xAxis: {
      type: 'value',
      min: 0,
      max: MOST_DAYS,
      name: 'work days, three a week, 25 minutes',
      nameLocation: 'middle',
      nameGap: 28,
    },
    yAxis: { type: 'value', min: 0, max: 100 },
    series: PLANNER_NAMES.map((planner) => ({
      type: 'line',
      step: 'end',
      name: LOOK[planner].name,
      showSymbol: false,
      color: LOOK[planner].color,
      lineStyle: { width: 2.5, type: LOOK[planner].type },
      data: Array.from({ length: MOST_DAYS + 1 }, (_, day) => [day, share(planner, day)]),
    })),
  })
  const svg = chart.renderToSVGString()
  chart.dispose()
  return svg
}

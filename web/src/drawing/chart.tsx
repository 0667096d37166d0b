import type { EChartsCoreOption, EChartsType } from 'echarts/core'
import { useEffect, useRef } from 'react'

/** The charting library comes when the first chart does, or a page that will have one: most have none. */
export const library = async () => {
  const [core, charts, components, renderers] = await Promise.all([
    import('echarts/core'),
    import('echarts/charts'),
    import('echarts/components'),
    import('echarts/renderers'),
  ])
  core.use([
    charts.LineChart,
    charts.ScatterChart,
    components.GridComponent,
    components.TooltipComponent,
    components.DataZoomComponent,
    components.MarkLineComponent,
    components.MarkAreaComponent,
    renderers.SVGRenderer,
  ])
  return core
}

interface Props {
  /** What the chart says now; a chart without its sentence is half of one. */
  readonly sentence: string
  readonly label: string
  readonly option: () => EChartsCoreOption
  readonly height?: number
}

/** A chart under the sentence that says what it shows now. `option` must change only when the chart does. */
export const Chart = ({ sentence, label, option, height = 260 }: Props) => {
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    let chart: EChartsType | undefined
    let isWanted = true
    const fit = new ResizeObserver(() => {
      // It is told of the first size too, at which the chart was drawn.
      if (chart && box.current && chart.getWidth() !== box.current.clientWidth) chart.resize()
    })
    void library().then((core) => {
      if (!isWanted || !box.current) return
      chart = core.init(box.current, null, { renderer: 'svg' })
      chart.setOption({
        animation: false,
        textStyle: { fontFamily: getComputedStyle(box.current).fontFamily, fontSize: 15 },
        ...option(),
      })
      fit.observe(box.current)
    })
    return () => {
      isWanted = false
      fit.disconnect()
      chart?.dispose()
    }
  }, [option])
  return (
    <figure className="min-w-0">
      <figcaption className="text-lg">{sentence}</figcaption>
      <div
        ref={box}
        role="img"
        aria-label={`${label}. ${sentence}`}
        style={{ height }}
        className="w-full overflow-hidden"
      />
    </figure>
  )
}

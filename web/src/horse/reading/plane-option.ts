import { chancePercent } from '@still-pine/core/answer'
import type { Line } from '@still-pine/contract'
import type { EChartsCoreOption } from 'echarts/core'
import { chanceAxis, inked, told } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import { sideAfter } from '../../shared/words'

/** Tracks of which enough is known to say where they stand. */
export type Placed = Line['tracks'][number] & { readonly name: string }

const SYMBOLS = { left: 'triangle', right: 'triangle', none: 'circle' } as const
/** A triangle points to the horse's own side. */
const TURNED = { left: 90, right: -90, none: 0 } as const

const corner = (
  name: string,
  from: readonly [number, number],
  { to, position }: { to: readonly [number, number]; position: string },
) => [{ name, coord: from, label: { position } }, { coord: to }]

/** Answer against calm: how light up the page, how loose to the right, each track a mark. */
export const planeOption = (placed: readonly Placed[]): EChartsCoreOption => {
  const ink = colour('ink')
  const halves = { interval: 0.5, splitLine: { lineStyle: { color: ink, type: 'dotted' } } }
  return {
    grid: { left: 68, right: 24, top: 16, bottom: 52 },
    xAxis: chanceAxis({ ...halves, name: 'chance that it is not tight', nameGap: 30 }),
    yAxis: chanceAxis({ ...halves, name: 'chance of a light answer', nameGap: 48 }),
    tooltip: told('item', { formatter: ({ data }: { data: { told: string } }) => data.told }),
    series: [
      {
        type: 'scatter',
        symbolSize: 15,
        itemStyle: { color: colour('way'), borderColor: ink, borderWidth: 1.5, opacity: 0.85 },
        data: placed.map(({ side, view, name }) => ({
          value: [view.calmChance, view.chance],
          symbol: SYMBOLS[side],
          symbolRotate: TURNED[side],
          told: `${name}${sideAfter(side)}\n${chancePercent(view.chance)} light, ${chancePercent(view.calmChance)} not tight\nfrom ${view.answers} answers`,
        })),
        markArea: {
          silent: true,
          itemStyle: { color: 'transparent' },
          label: { ...inked(18), fontWeight: 'bold' },
          data: [
            corner('reactive', [0, 0.5], { to: [0.5, 1], position: 'insideTopLeft' }),
            corner('soft', [0.5, 0.5], { to: [1, 1], position: 'insideTop' }),
            corner('worried', [0, 0], { to: [0.5, 0.5], position: 'insideBottomLeft' }),
            corner('learning, or dull', [0.5, 0], { to: [1, 0.5], position: 'insideBottomRight' }),
          ],
        },
      },
    ],
  }
}

import { chancePercent } from '@still-pine/core/answer'
import type { Line } from '@still-pine/contract'
import type { EChartsCoreOption } from 'echarts/core'
import { chanceAxis, inked, told } from '../../drawing/chart-look'
import { colour } from '../../drawing/colour'
import { sideAfter } from '../../shared/words'
import type { Shown } from './plane-range'

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

/** A corner of the plane, as far as it is shown. */
const seen = (
  area: ReturnType<typeof corner>,
  { light, calm }: Shown,
): readonly ReturnType<typeof corner>[] => {
  const [from, to] = area as [{ coord: readonly [number, number] }, { coord: readonly [number, number] }]
  if (to.coord[0] <= calm || to.coord[1] <= light) return []
  const coord = [Math.max(calm, from.coord[0]), Math.max(light, from.coord[1])] as const
  return [[{ ...area[0], coord }, area[1]] as ReturnType<typeof corner>]
}

/** Answer against calm: how light up the page, how loose to the right, each track a mark; as much of it as is shown. */
export const planeOption = (placed: readonly Placed[], shown: Shown): EChartsCoreOption => {
  const ink = colour('ink')
  const halves = { splitLine: { lineStyle: { color: ink, type: 'dotted' } } }
  const axis = (min: number) => ({ ...halves, min, interval: min === 0 ? 0.5 : 0.1 })
  return {
    grid: { left: 68, right: 24, top: 16, bottom: 52 },
    xAxis: chanceAxis({ ...axis(shown.calm), name: 'chance that it is not tight', nameGap: 30 }),
    yAxis: chanceAxis({ ...axis(shown.light), name: 'chance of a light answer', nameGap: 48 }),
    tooltip: told('item', { formatter: ({ data }: { data: { told: string } }) => data.told }),
    series: [
      {
        type: 'scatter',
        clip: true,
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
          ].flatMap((area) => seen(area, shown)),
        },
      },
    ],
  }
}

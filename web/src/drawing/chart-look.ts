import { percent } from '@still-pine/core/answer'
import { colour } from './colour'

interface Text {
  readonly color: string
  readonly fontSize: number
}

/** The ink of a chart's words. */
export const inked = (fontSize = 15): Text => ({ color: colour('ink'), fontSize })

interface Named {
  readonly name?: string
  /** From the axis to its name, in pixels. */
  readonly nameGap?: number
  readonly axisLabel?: object
  readonly [option: string]: unknown
}

/** An axis of numbers as all our charts have it; what is said overrides. */
export const valueAxis = ({ axisLabel, ...said }: Named = {}) => ({
  type: 'value',
  nameLocation: 'middle',
  nameTextStyle: inked(),
  axisLabel: { ...inked(), ...axisLabel },
  splitLine: { lineStyle: { color: colour('line') } },
  ...said,
})

/** An axis of chances, 0 to 100 %. */
export const chanceAxis = (said: Named & { readonly interval: number }) =>
  valueAxis({ min: 0, max: 1, axisLabel: { formatter: percent }, ...said })

/** An axis of days. */
export const dayAxis = (said: object = {}) => ({
  type: 'time',
  axisLabel: { ...inked(), hideOverlap: true },
  ...said,
})

/** What a chart tells of the mark or the day under the pointer. */
export const told = (trigger: 'item' | 'axis', said: object) => ({
  trigger,
  backgroundColor: colour('panel'),
  textStyle: inked(16),
  extraCssText: 'white-space: pre-line',
  ...said,
})

/** A line, or a mark, of one of the page's colours. */
export const lineOf = (name: string, type: 'solid' | 'dashed' | 'dotted' = 'solid') => ({
  lineStyle: { color: colour(name), type, width: 2.5 },
  itemStyle: { color: colour(name) },
})

import type { Pace } from '../../answer'
import { CARRY_OVER } from '../carry-over'
import { CATALOGUE, needsFrom } from '../catalogue'
import { GATES, type Gate } from '../gate'
import { mannerFrom, type MannerPart } from '../manner'
import type { Program } from '../program'
import type { Step } from '../step'

/** The four schools that ship with the product. Work outside them is a yard's own copy of one. */
export type SchoolKey = 'feet-first' | 'stand-first' | 'mark-and-reward' | 'light-aids'

interface SchoolText {
  readonly school: SchoolKey
  readonly name: string
  readonly version: number
  readonly pace: Pace
  /** Each `what → why`. */
  readonly manner: Readonly<Record<MannerPart, string>>
  /** Steps that have no part in this school. */
  readonly leftOut: readonly string[]
  /** Needs that take the place of the catalogue's, by step. */
  readonly needs: Readonly<Record<string, string>>
  /** Least ages in months that take the place of a gate's own. */
  readonly leastMonths?: Readonly<Record<string, number>>
}

/** A school as a program: the catalogue in its own order, without what it leaves out. */
export const schoolFrom = (text: SchoolText): Program => {
  const isOut = (step: string): boolean => text.leftOut.includes(step)
  const inItsOrder = (step: Step): Step => {
    const needs = text.needs[step.key]
    return needs === undefined ? step : { ...step, needs: needsFrom(needs) }
  }
  const atItsAge = (gate: Gate): Gate => {
    const leastMonths = text.leastMonths?.[gate.key]
    return leastMonths === undefined ? gate : { ...gate, leastMonths }
  }
  return {
    school: text.school,
    name: text.name,
    version: text.version,
    pace: text.pace,
    manner: mannerFrom(text.manner),
    steps: CATALOGUE.filter(({ key }) => !isOut(key)).map(inItsOrder),
    gates: GATES.map(atItsAge),
    carryOver: CARRY_OVER.filter(({ from, to }) => !isOut(from) && !isOut(to)),
  }
}

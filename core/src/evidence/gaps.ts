import type { Model } from '../judgement'
import { stepOf, type Program } from '../program'
import { sideViews, stepState, type Views } from '../readiness'
import { wilson, type Interval } from './interval'

/** A horse as the yard's own gaps are read from it. */
export interface Standing {
  readonly name: string
  readonly program: Program
  readonly views: Views
}

/** A step and the horses that were worked on it long enough for it to be Solid. */
export interface Gap {
  readonly step: string
  readonly name: string
  readonly horses: number
  /** Of them, those on which it is not Solid and was not worn by rest alone. */
  readonly weak: readonly string[]
  /** Of the share that is weak. */
  readonly spread: Interval
}

const isLongEnough = (model: Model, { views, program }: Standing, key: string): boolean => {
  const step = stepOf(program, key)
  return (
    step !== undefined &&
    sideViews(views, step).every(({ view }) => view.daysWorked >= model.solid[step.kind].days)
  )
}

const isWeak = ({ program, views }: Standing, key: string): boolean => {
  const step = stepOf(program, key)!
  return !['solid', 'rusty'].includes(stepState(sideViews(views, step)))
}

/** One horse shows nothing of the yard. */
const FEWEST_WEAK = 2

/**
 * The steps that several horses are weak on though they were worked long enough: the yard's own gap. First those of
 * which it is most certain that many are.
 */
export const gapsOf = (model: Model, horses: readonly Standing[]): readonly Gap[] => {
  const names = new Map(horses.flatMap(({ program }) => program.steps.map(({ key, name }) => [key, name])))
  return [...names]
    .map(([step, name]) => {
      const worked = horses.filter((horse) => isLongEnough(model, horse, step))
      const weak = worked.filter((horse) => isWeak(horse, step)).map((horse) => horse.name)
      return { step, name, horses: worked.length, weak, spread: wilson(weak.length, worked.length) }
    })
    .filter(({ weak }) => weak.length >= FEWEST_WEAK)
    .sort(
      (a, b) => b.spread.low - a.spread.low || b.weak.length - a.weak.length || a.name.localeCompare(b.name),
    )
}

import type { Line } from '@still-pine/contract'
import { offersFor, permit, type Offers, type Permit, type PermitHorse } from '@still-pine/core/permit'
import type { Program } from '@still-pine/core/program'
import { permitHorse } from '../shared/permit-horse'
import type { PenState } from './pen-slice'

/** The horse with what was just confirmed in this pen, which the Line hears of a little later. */
const horseInPen = (line: Line, program: Program, confirmed: PenState['confirmed']): PermitHorse => {
  const horse = permitHorse(line, program)
  const more = confirmed.filter((one) => !line.facts.confirmed.includes(one))
  return more.length === 0
    ? horse
    : { ...horse, facts: { ...horse.facts, confirmed: [...horse.facts.confirmed, ...more] } }
}

type Aimed = Pick<PenState, 'aim' | 'confirmed' | 'day'>

/** What the pen may offer where it aims. */
export const offersIn = (line: Line, program: Program, { aim, confirmed, day }: Aimed): Offers =>
  offersFor(horseInPen(line, program, confirmed), aim, day)

/** What is said to the ask the pen aims at. */
export const permitIn = (line: Line, program: Program, { aim, confirmed, day }: Aimed): Permit =>
  permit(horseInPen(line, program, confirmed), aim, day)

/** Whether the pen may start what it aims at: it is permitted and all is confirmed, or the person said why all the same. */
export const mayStart = (line: Line, program: Program, pen: PenState): boolean =>
  isAllowed(pen) || permitIn(line, program, pen).answer === 'yes'

/** The person has said of this very rung that it goes on. */
export const isAllowed = ({ aim, allowed }: PenState): boolean =>
  allowed !== null && allowed.step === aim.step && aim.rung <= allowed.rung

const MOST_WORDS = 500

/** What an answer says of it where it was given against the permit. */
export const againstIn = (line: Line, program: Program, pen: PenState) => {
  const { answer, because } = permitIn(line, program, pen)
  if (answer !== 'no') return { against: null, why: null }
  const words = because
    .filter((one) => one.answer === 'no')
    .map((one) => one.words)
    .join(' ')
  return { against: words.slice(0, MOST_WORDS), why: isAllowed(pen) ? pen.allowed!.why : null }
}

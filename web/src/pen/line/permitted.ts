import type { Line } from '@still-pine/contract'
import { permit, type Permit } from '@still-pine/core/permit'
import { stepOf, type Program } from '@still-pine/core/program'
import { permitHorse } from '../../shared/permit-horse'

/** The steps whose work it is, the first that the school has; at the rung that begins it. */
const STEPS = {
  lunge: [
    ['laps', 1],
    ['send', 3],
  ],
  lines: [
    ['drive', 1],
    ['rope-behind', 2],
  ],
} as const

const NOT_TAUGHT: Permit = { answer: 'yes', because: [] }

/** What the permit says to work on the line today. */
export const linePermit = (line: Line, program: Program, way: keyof typeof STEPS): Permit => {
  const found = STEPS[way].find(([key]) => stepOf(program, key))
  return found ? permit(permitHorse(line, program), { step: found[0], rung: found[1] }, line.day) : NOT_TAUGHT
}

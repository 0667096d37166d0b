import type { Line } from '@still-pine/contract'
import type { PermitHorse } from '@still-pine/core/permit'
import type { Program } from '@still-pine/core/program'
import { viewsIn } from './views-in'

const made = new WeakMap<Line, PermitHorse>()

/** The horse of a Line as the permit sees it; the same for the same Line, so that what was said of it is remembered. */
export const permitHorse = (line: Line, program: Program): PermitHorse => {
  const known = made.get(line)
  if (known?.program === program) return known
  const horse: PermitHorse = { program, views: viewsIn(line), facts: line.facts }
  made.set(line, horse)
  return horse
}

import { isInFirstRides } from '../facts'
import { dueNow, type PermitHorse } from '../permit'
import { exposuresAt, gatesGuarding } from '../program'
import { checkOf, partsOf, visitOf, withAsks, type Part } from './parts'
import type { Candidate } from './ways'

const isMounted = ({ open: { step, tracks } }: Candidate): boolean =>
  tracks.some(({ rung }) => exposuresAt(step, rung).includes('mounted'))

/** What is asked first today before anybody is up, as the gates have it; nothing once a rider has their thirty rides. */
const dueBefore = (horse: PermitHorse, { open: { step, tracks } }: Candidate): readonly string[] => {
  if (!isInFirstRides(horse.facts)) return []
  const guards = tracks.flatMap(({ rung }) => gatesGuarding(horse.program, step.key, rung))
  return [...new Set(guards.flatMap((gate) => dueNow(horse, gate)))]
}

export interface DueFirst {
  /** The first asks that come before all else, as the session holds them. */
  readonly parts: readonly Part[]
  /** The steps that may be in the session then. */
  readonly candidates: readonly Candidate[]
}

/**
 * What a choice with mounted work in it must begin with: the first asks of the day. Where one of them is not to be had
 * today, nobody gets up. `null` where the choice needs nothing of the kind.
 */
export const dueFirst = (
  horse: PermitHorse,
  candidates: readonly Candidate[],
  chosen: readonly Part[],
): DueFirst | null => {
  const mounted = chosen.map(({ candidate }) => candidate).filter(isMounted)
  const due = new Set(mounted.flatMap((candidate) => dueBefore(horse, candidate)))
  if (due.size === 0) return null
  const asked = candidates.filter(({ open }) => due.has(open.step.key))
  if (asked.length < due.size)
    return { parts: [], candidates: candidates.filter((candidate) => !isMounted(candidate)) }
  const parts = asked.flatMap((candidate) => {
    const visit = visitOf(candidate)
    const look = checkOf(candidate) ?? {
      ...visit,
      visits: 1,
      sides: visit.sides.slice(0, 1).map((sides) => withAsks(sides, sides.length)),
    }
    return partsOf(candidate, { ...look, kind: 'check', first: [] }, { role: 'check' })
  })
  return { parts, candidates }
}

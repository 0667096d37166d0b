import type { Choice } from './choose'
import type { Placed } from './order'
import { CHANGE_MINUTES, CHECK_CHANGE_MINUTES, minutesOf, type Candidate, type Way } from './ways'

/** One burst of the session to be, before it has its place and its words. */
export interface Part extends Placed {
  readonly candidate: Candidate
  readonly way: Way
  /** Which visit of the step it is, from 0. */
  readonly visit: number
}

/** The bursts that a way of working a step makes, with the places that are pinned for them. */
export const partsOf = (
  candidate: Candidate,
  way: Way,
  { role, pinnedAt = [] }: { role: Placed['role']; pinnedAt?: readonly number[] },
): readonly Part[] =>
  way.sides.map((_, visit) => ({
    step: candidate.open.step.key,
    role,
    worth: way.worth / way.visits,
    endsWell: way.endsWell,
    after: way.first.map(({ key }) => key),
    at: pinnedAt[visit] ?? null,
    candidate,
    way,
    visit,
  }))

export const checkOf = ({ ways }: Candidate): Way | undefined => ways.find(({ kind }) => kind === 'check')

/** The shortest way of learning: one visit. */
export const visitOf = ({ ways }: Candidate): Way => ways.find(({ kind }) => kind === 'learn')!

const asksOf = (sides: Way['sides'][number]): number => sides.reduce((sum, { asks }) => sum + asks, 0)

/** The same sides with about so many asks in all, every side at least one. */
export const withAsks = (sides: Way['sides'][number], asks: number): Way['sides'][number] =>
  sides.map((side) => ({ ...side, asks: Math.max(1, Math.round((asks * side.asks) / asksOf(sides))) }))

/** With the change to it. */
export const minutesOfPart = ({ candidate, way, visit }: Part): number =>
  minutesOf(candidate.open.step, way.sides[visit]!) +
  (way.kind === 'check' ? CHECK_CHANGE_MINUTES : CHANGE_MINUTES)

export const minutesOfAll = (parts: readonly Part[]): number =>
  parts.reduce((sum, part) => sum + minutesOfPart(part), 0)

/** The surest step that is not in the session yet, to end on something good. */
export const closingFrom = (candidates: readonly Candidate[], taken: ReadonlySet<string>): Part | null => {
  const sure = candidates.flatMap((candidate) => {
    const way = checkOf(candidate)
    return way?.endsWell && !taken.has(candidate.open.step.key)
      ? partsOf(candidate, way, { role: 'close' })
      : []
  })
  return [...sure].sort((a, b) => b.worth - a.worth)[0] ?? null
}

/** Ingredients that must be looked at first and are not in the session for their own sake. */
export const looksFor = (taken: Choice['taken'], candidates: readonly Candidate[]): readonly Part[] => {
  const has = new Set(taken.map(({ candidate }) => candidate.open.step.key))
  const wanted = new Set(
    taken.flatMap(({ way }) => way.first.map(({ key }) => key)).filter((key) => !has.has(key)),
  )
  return candidates
    .filter(({ open }) => wanted.has(open.step.key))
    .flatMap((candidate) => {
      const visit = visitOf(candidate)
      const look = checkOf(candidate) ?? {
        ...visit,
        sides: visit.sides.map((sides) => withAsks(sides, sides.length)),
      }
      return partsOf(candidate, { ...look, first: [] }, { role: 'check' })
    })
}

import { over } from '../arithmetic'
import { exposuresAt } from '../program'
import { minutesOf, type Candidate, type Way } from './ways'
import type { Part } from './parts'

/** What of a visit somebody sits on it. */
const visitInSaddle = ({ open: { step } }: Candidate, sides: Way['sides'][number]): number => {
  const mounted = sides.filter(({ rung }) => exposuresAt(step, rung).includes('mounted'))
  return mounted.length === 0 ? 0 : minutesOf(step, mounted)
}

/** Minutes in the saddle, all bursts of a session together: they are one ride. */
export const minutesInSaddle = (parts: readonly Part[]): number =>
  parts.reduce((sum, { candidate, way, visit }) => sum + visitInSaddle(candidate, way.sides[visit]!), 0)

const worthInSaddle = (parts: readonly Part[], candidate: Candidate): number =>
  parts
    .filter((part) => part.candidate === candidate)
    .reduce((sum, part) => sum + (minutesInSaddle([part]) > 0 ? part.worth : 0), 0)

/** Every way that alone would be a longer ride goes. */
const waysWithin = (candidate: Candidate, most: number): Candidate => ({
  ...candidate,
  ways: candidate.ways.filter(
    ({ sides }) =>
      !over(
        sides.reduce((sum, visit) => sum + visitInSaddle(candidate, visit), 0),
        most,
      ),
  ),
})

/**
 * Chooses so that what is ridden keeps to the minutes of the next ride: of bursts that are too much together the one
 * worth least is left out, and the session is chosen anew without it.
 */
export const chooseWithinRide = <Chosen extends { readonly parts: readonly Part[] }>(
  candidates: readonly Candidate[],
  most: number | null,
  chosenOf: (candidates: readonly Candidate[]) => Chosen,
): Chosen => {
  if (most === null) return chosenOf(candidates)
  const chosen = chosenOf(
    candidates
      .map((candidate) => waysWithin(candidate, most))
      .filter(({ ways }) => ways.some(({ kind }) => kind === 'learn')),
  )
  if (!over(minutesInSaddle(chosen.parts), most)) return chosen
  const ridden = [...new Set(chosen.parts.map(({ candidate }) => candidate))].filter(
    (candidate) => worthInSaddle(chosen.parts, candidate) > 0,
  )
  const [least] = ridden.sort((a, b) => worthInSaddle(chosen.parts, a) - worthInSaddle(chosen.parts, b))
  const key = least?.open.step.key
  // Pinned by a person, it stays; it is theirs to say.
  if (key === undefined || !candidates.some(({ open }) => open.step.key === key)) return chosen
  return chooseWithinRide(
    candidates.filter(({ open }) => open.step.key !== key),
    most,
    chosenOf,
  )
}

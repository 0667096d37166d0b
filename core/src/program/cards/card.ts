import type { SchoolKey } from '../schools/school'

/** A wrong answer and what mends it. */
export interface Fault {
  readonly fault: string
  readonly repair: string
}

/** A fault whose repair carries a feel is mended in each school by its own. */
interface FaultText {
  readonly fault: string
  /** One for all schools, or one each: Feet First, Stand First, Mark and Reward, Light Aids. */
  readonly repairs: readonly string[]
}

/** What holds of a step in every school. */
export interface CardText {
  readonly purpose: string
  /** What a good answer looks like, down to the feet. */
  readonly counts: string
  readonly faults: readonly FaultText[]
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
}

/** What is read at the rail before a step. */
export interface StepCard extends Omit<CardText, 'faults'> {
  readonly faults: readonly Fault[]
  /** Where you stand and what you do, in any school. */
  readonly how: string
  /** The school's own way of asking. */
  readonly inThisSchool: string
  /** What becomes of it with a person up; `null` for a step that ends on the ground. */
  readonly underSaddle: string | null
}

/** Faults are written `fault → repair`, or `fault → four | repairs | by | school`; kit and cautions are plain lists. */
export const card = (
  purpose: string,
  counts: string,
  {
    faults,
    kit,
    cautions,
  }: { faults: readonly string[]; kit: readonly string[]; cautions: readonly string[] },
): CardText => ({
  purpose,
  counts,
  faults: faults.map((text) => {
    const [fault, repairs] = text.split(' → ') as [string, string]
    return { fault, repairs: repairs.split(' | ') }
  }),
  kit,
  cautions,
})

/** The schools in the order in which repairs by school are written. */
const SCHOOLS: readonly SchoolKey[] = ['feet-first', 'stand-first', 'mark-and-reward', 'light-aids']

/** The faults of a card with the repair of a school; where none is named, of the first. */
export const faultsIn = (faults: CardText['faults'], school: string | undefined): readonly Fault[] =>
  faults.map(({ fault, repairs }) => ({
    fault,
    repair: repairs[Math.max(0, SCHOOLS.indexOf(school as SchoolKey))] ?? repairs[0]!,
  }))

/** A wrong answer and what mends it. */
export interface Fault {
  readonly fault: string
  readonly repair: string
}

/** What holds of a step in every school. */
export interface CardText {
  readonly purpose: string
  /** What a good answer looks like, down to the feet. */
  readonly counts: string
  readonly faults: readonly Fault[]
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
}

/** What is read at the rail before a step. */
export interface StepCard extends CardText {
  /** Where you stand and what you do, in any school. */
  readonly how: string
  /** The school's own way of asking. */
  readonly inThisSchool: string
  /** What becomes of it with a person up; `null` for a step that ends on the ground. */
  readonly underSaddle: string | null
}

/** Faults are written `fault → repair`; kit and cautions are plain lists. */
export const card = (
  purpose: string,
  counts: string,
  faults: readonly string[],
  kit: readonly string[],
  cautions: readonly string[],
): CardText => ({
  purpose,
  counts,
  faults: faults.map((text) => {
    const [fault, repair] = text.split(' → ') as [string, string]
    return { fault, repair }
  }),
  kit,
  cautions,
})

/** A wrong answer and what mends it. */
export interface Fault {
  readonly fault: string
  readonly repair: string
}

/** What is read at the rail before a step. */
export interface StepCard {
  readonly purpose: string
  /** What a good answer looks like, down to the feet. */
  readonly counts: string
  readonly faults: readonly Fault[]
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
}

/** Faults are written `fault → repair`; kit and cautions are plain lists. */
export const card = (
  purpose: string,
  counts: string,
  faults: readonly string[],
  kit: readonly string[],
  cautions: readonly string[],
): StepCard => ({
  purpose,
  counts,
  faults: faults.map((text) => {
    const [fault, repair] = text.split(' → ') as [string, string]
    return { fault, repair }
  }),
  kit,
  cautions,
})

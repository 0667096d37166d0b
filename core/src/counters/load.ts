import { exposuresAt, knownStep, markOf, stepOf, type Exposure, type Program, type Step } from '../program'

/** A person behind on lines, a whole person on it: load at any pace. */
const ALWAYS_LOAD: readonly Exposure[] = ['lines', 'whole-weight', 'mounted']

/** Loose, on the line or in tack above a walk. */
export const isLoadAtPace = ({ does = [] }: Pick<Step, 'does'>, hardestRung: number): boolean =>
  does.slice(0, hardestRung).some(({ loads }) => loads === true)

export const isLoad = (program: Program, key: string, hardestRung: number): boolean => {
  const step = knownStep(program, key)
  if (step === undefined) return false
  return (
    isLoadAtPace(step, hardestRung) || exposuresAt(step, hardestRung).some((one) => ALWAYS_LOAD.includes(one))
  )
}

/** Somebody sits on the horse. */
export const isRidden = (program: Program, key: string, rung: number): boolean => {
  const step = stepOf(program, key)
  return step !== undefined && exposuresAt(step, rung).includes('mounted')
}

/** The steps ridden off the lead, each from the mark of the rung on which it begins to be. */
export const offLeadFrom = (program: Program): readonly { readonly step: string; readonly mark: number }[] =>
  program.steps.flatMap((step) => {
    const at = step.rungs.findIndex((_, i) => exposuresAt(step, i + 1).includes('off-lead'))
    return at === -1 ? [] : [{ step: step.key, mark: markOf(step, at + 1) }]
  })

/** Handling longer than this in a day counts as load (common practice, no source). */
export const HANDLING_MINUTES = 20

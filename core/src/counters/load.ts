import { exposuresAt, markOf, stepOf, type Exposure, type Program } from '../program'

/**
 * From which rung a step loads the legs or the back: lunge, long lines, saddle, rider. Everything else at walk and in
 * twenty minutes is handling (common practice, no source).
 */
const LOADS_FROM: Readonly<Record<string, number>> = {
  'loose-direction': 4,
  'loose-turn-in': 3,
  flag: 5,
  send: 4,
  'stop-on-circle': 3,
  'turn-on-line': 3,
  'hind-in-motion': 2,
  poles: 3,
  laps: 1,
  'stretch-lunge': 1,
  drive: 4,
  'drive-on-bit': 3,
  surcingle: 4,
  'side-strings': 2,
  'saddle-wear': 2,
  'saddle-move': 2,
}

/** A person behind on lines, a whole person on it: load at any pace. */
const ALWAYS_LOAD: readonly Exposure[] = ['lines', 'whole-weight', 'mounted']

/** Loose, on the line or in tack above a walk. */
export const isLoadAtPace = (key: string, hardestRung: number): boolean =>
  hardestRung >= (LOADS_FROM[key] ?? Infinity)

export const isLoad = (program: Program, key: string, hardestRung: number): boolean => {
  if (isLoadAtPace(key, hardestRung)) return true
  const step = stepOf(program, key)
  return step !== undefined && exposuresAt(step, hardestRung).some((one) => ALWAYS_LOAD.includes(one))
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

import type { Kind } from '../../answer'
import { NECK_NEED } from '../../judgement'
import { exposuresFrom, type Effort } from '../exposure'
import { dataOfOwn } from '../own-step'
import { rungsDataFrom } from '../step-data'
import { TOLD, type StepData } from './data'
import type { NeedRef, Role, Step } from '../step'

interface Extras extends StepData {
  /** `key`, `key@rung` or `role:name`, parted by spaces; `>4:key` holds only from rung 4 on. */
  readonly needs?: string
  readonly roles?: readonly Role[]
  readonly allRound?: boolean
  /** A neck hangs on it: the higher need of the model. */
  readonly neck?: boolean
  /** What its rungs put at risk, as `exposuresFrom` reads it. */
  readonly exposes?: string
  readonly effort?: Effort
}

/** Reads `key@rung`, `role:name` and `>rung:key` as the catalogue writes them. */
export const needFrom = (text: string): NeedRef => {
  const [, fromRung, body] = /^(?:>(\d):)?(.+)$/.exec(text)!
  const [name, rung] = body!.split('@') as [string, string | undefined]
  const target = name.startsWith('role:') ? { role: name.slice(5) as Role } : { step: name }
  return {
    ...target,
    ...(rung === undefined ? {} : { rung: Number(rung) }),
    ...(fromRung === undefined ? {} : { fromRung: Number(fromRung) }),
  }
}

export const needsFrom = (text: string): readonly NeedRef[] => text.split(' ').filter(Boolean).map(needFrom)

/**
 * The entries of one stage. `rungs` are parted by ` · `, easiest first; a `*` marks the required rung where it is
 * not the last. `LR` keeps the step per side.
 */
export const stageEntries =
  (stage: number) =>
  // Written as a table is: one line a step, in the order of its columns.
  // eslint-disable-next-line @typescript-eslint/max-params
  (key: string, name: string, kind: Kind, sides: 'LR' | '–', rungs: string, extras: Extras = {}): Step => {
    const marked = rungs.split(' · ')
    const required = marked.findIndex((rung) => rung.endsWith('*'))
    const told = { ...TOLD[key], ...extras }
    const own = dataOfOwn({ stage, kind })
    return {
      key,
      name,
      stage,
      kind,
      sided: sides === 'LR',
      rungs: marked.map((rung) => rung.replace('*', '')),
      requiredRung: required === -1 ? marked.length : required + 1,
      needs: needsFrom(extras.needs ?? ''),
      roles: extras.roles ?? [],
      rungCount: marked.length,
      allRound: extras.allRound ?? false,
      ...(extras.neck ? { need: NECK_NEED } : {}),
      exposures: exposuresFrom(extras.exposes ?? '', marked.length),
      effort: extras.effort ?? 'free',
      ...own,
      does: rungsDataFrom(told.does ?? '', marked.length),
      serves: [...(told.serves ?? []), ...own.serves],
      ...(told.use ? { use: told.use } : {}),
      ...(told.shows ? { shows: told.shows } : {}),
    }
  }

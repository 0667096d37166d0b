import type { Day } from '@still-pine/core/answer'
import { modelFor } from '@still-pine/core/judgement'
import type { Program } from '@still-pine/core/program'
import { recordsWith, replayHorse, type Records } from '@still-pine/core/readiness'
import { waits, type AnswerHere, type HorseHere } from './horse-here'

/** Tracks from a history, left off where the server's answers end so that one logged here costs one update. */
export class Replays {
  private readonly known = new Map<string, { readonly ids: string; readonly records: Records }>()

  constructor(private readonly most = 12) {}

  of({ carried, program, history }: HorseHere, on: Day): Records {
    const upTo = history.filter(({ day }) => day <= on)
    const firstHere = upTo.findIndex(waits)
    const base = firstHere === -1 ? upTo : upTo.slice(0, firstHere)
    // An answer never changes under its id, so the ids say which history this is.
    const ids = [
      carried.horse.programId,
      carried.horse.judgedBy?.version ?? 0,
      ...base.map(({ id }) => id),
    ].join()
    const { horse, tracks } = this.baseOf(carried.horseId, ids, { program, base })
    const records = { horse, tracks: new Map(tracks) }
    for (const answer of upTo.slice(base.length)) recordsWith(modelFor(program), program, { records, answer })
    return records
  }

  private baseOf(
    horseId: string,
    ids: string,
    { program, base }: { program: Program; base: readonly AnswerHere[] },
  ): Records {
    const found = this.known.get(horseId)
    if (found?.ids === ids) return found.records
    const records = replayHorse(modelFor(program), program, base)
    this.known.delete(horseId)
    this.known.set(horseId, { ids, records })
    const [oldest] = this.known.keys()
    if (this.known.size > this.most) this.known.delete(oldest!)
    return records
  }
}

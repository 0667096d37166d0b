import { ENOUGH, type Fit } from '@still-pine/core/fit'
import { evidence } from '../data/answers'
import { chooseFit, countAnswers, fitInUse, fitsOf, insertFit } from '../data/fits'
import { allHorses } from '../data/horses'
import { lockYard } from '../data/people'
import { forThreads, programNamed } from '../parts/programs'
import type { Evidence } from '../data/answers'
import type { KnownProgram } from '../threads'
import { inYardOf, nobodyIn, type Workings } from './in-yard'
import type { Yard } from './yard'

/** A log of this many answers says enough; going through more two hundred times would take the night. */
const MOST_ANSWERS = 20_000

/** It is looked again only when the log has grown by this share. */
const GROWN_BY = 0.1

interface Log {
  readonly horses: readonly { readonly program: KnownProgram; readonly answers: readonly Evidence[] }[]
  readonly inUse: Awaited<ReturnType<typeof fitInUse>>
  readonly isGrown: boolean
}

/** Whole horses with what they answered, those that were worked last first, until it is enough. */
const logOf = async ({ client, yardId }: Yard): Promise<Log> => {
  const [last] = await fitsOf(client)
  const answered = await countAnswers(client)
  const isGrown = answered >= ENOUGH.answers && answered >= (1 + GROWN_BY) * (last?.answers ?? 0)
  const horses = []
  let count = 0
  if (isGrown)
    for (const { id, programId } of (await allHorses(client)).toReversed()) {
      if (count >= MOST_ANSWERS) break
      const program = await programNamed(client, yardId, programId)
      const answers = await evidence(client, id, { steps: program.steps.map(({ key }) => key) })
      count += answers.length
      if (answers.length > 0) horses.push({ program: forThreads(program), answers })
    }
  return { horses, inUse: await fitInUse(client), isGrown }
}

/** What came of looking: nothing where there was no more to learn from, or too little of it. */
export type Fitted = (Fit & { readonly version: number }) | null

/**
 * Looks for values that make a yard's log likelier, on a thread, keeps them as a version, and takes them up where they
 * say the days held out clearly better. The horses follow when they are worked out anew.
 */
export const fitYard = async (
  workings: Workings,
  yardId: string,
  { evenIfNotGrown = false }: { evenIfNotGrown?: boolean } = {},
): Promise<Fitted> => {
  const asker = await nobodyIn(workings, yardId)
  const log = await inYardOf(workings, { asker, view: 'one moment' }, logOf)
  if (!log.isGrown && !evenIfNotGrown) return null
  const fit = await workings.threads.fit({ horses: log.horses, inUse: log.inUse?.values ?? null })
  if (!fit) return null
  return inYardOf(workings, { asker, view: 'as it goes' }, async ({ client, now }) => {
    await lockYard(client, yardId)
    const version = await insertFit(client, yardId, { fit, at: now })
    // Somebody may have gone back meanwhile: what was compared with is in use no more.
    const isSame = (await fitInUse(client))?.version === log.inUse?.version
    if (fit.isWorthIt && isSame) await chooseFit(client, version)
    return { ...fit, version }
  })
}

import type { BaseQueryApi, BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { ReadName, ReplyOf } from '@still-pine/contract'
import { addressOf } from '@still-pine/contract/addresses'
import {
  carriedAt,
  saveReply,
  savedReply,
  paySignOut,
  withWhatWaits,
  type Question,
} from '@still-pine/device'

/** A request, and the question it puts where it only reads. */
export interface ApiRequest extends FetchArgs {
  readonly reads?: Question
}
type AskServer = BaseQueryFn<FetchArgs, unknown, FetchBaseQueryError>
export type Ask = BaseQueryFn<ApiRequest, unknown, FetchBaseQueryError>

/** How long a question may stay open where this device has an answer of its own. */
const PATIENCE_MS = 5_000

const AWAY_STATUSES: ReadonlySet<unknown> = new Set(['FETCH_ERROR', 'TIMEOUT_ERROR', 502, 503, 504])

/** What is kept in a shape of its own, or made here from what is carried anyway: no copy is kept of it. */
const UNCOPIED: ReadonlySet<ReadName> = new Set(['carry', 'evidence', 'stepEvidence'])

export interface DeviceParts {
  /** Told when what is replied under an address was true. */
  readonly onTold: (address: string, at: number) => void
  /** Answers a question from what lies on this device. */
  readonly readHere: (question: Question) => Promise<unknown>
  /** Told of every answer, and of every silence. */
  readonly onHeard: (api: BaseQueryApi, wasHeard: boolean) => void
  /** This device was cut off from the yard. */
  readonly onCutOff: () => void
}

const isCutOff = (error: FetchBaseQueryError | undefined): boolean =>
  (error?.data as { type?: unknown } | undefined)?.type === 'cut-off'

/** The server tells a program with today's rules of safety; a copy may be older than they are. */
const safely = async ({ id, program }: ReplyOf<'program'>): Promise<ReplyOf<'program'>> => {
  const { withSafety } = await import('./safety')
  return { id, program: withSafety(program) }
}

/** When what this device tells was true: when the horse it is of was carried last, or else when its copy was kept. */
const trueAt = async ({ named }: Question, keptAt = 0): Promise<number> => {
  const { horseId } = named as { horseId?: string }
  return (horseId === undefined ? undefined : await carriedAt(horseId).catch(() => undefined)) ?? keptAt
}

/** Asks the server, and where it cannot be reached answers from this device. Writes are never answered from here. */
export const onDeviceToo =
  (ask: AskServer, { readHere, onTold, onHeard, onCutOff }: DeviceParts): Ask =>
  async ({ reads, ...args }, api, extra) => {
    if (!reads || reads.name === 'carry') return ask(args, api, extra)
    const { name } = reads
    const address = addressOf(name, reads.named)
    // Who signed out without signal is signed out before the server is asked for anything of theirs.
    if (navigator.onLine) await paySignOut()
    const keepsCopy = !UNCOPIED.has(name)
    const kept = keepsCopy ? await savedReply(address) : undefined
    // One version of a program is the same for ever, but for the rules of safety, which a newer app reads into it.
    if (kept && name === 'program') return { data: await safely(kept.body as ReplyOf<'program'>) }
    const askedAt = Date.now()
    const reply = kept
      ? navigator.onLine
        ? await ask({ ...args, timeout: PATIENCE_MS }, api, extra)
        : { error: { status: 'FETCH_ERROR' as const, error: 'offline' } }
      : await ask(args, api, extra)
    if (!reply.error) {
      onHeard(api, true)
      onTold(address, askedAt)
      const data = await withWhatWaits(reads, reply.data).catch(() => reply.data)
      if (keepsCopy) void saveReply(address, data, askedAt)
      return { ...reply, data }
    }
    if (isCutOff(reply.error)) onCutOff()
    if (!AWAY_STATUSES.has(reply.error.status)) return reply
    onHeard(api, false)
    const here = await readHere(reads).catch(() => undefined)
    const data = here ?? kept?.body
    if (data === undefined) return reply
    onTold(address, await trueAt(reads, kept?.at))
    return { data }
  }

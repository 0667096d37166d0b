import type { BaseQueryApi, BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import { keepReply, keptReply, paySignOut, withWhatWaits } from '@still-pine/device'

type Ask = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError>

/** How long a question may stay open where this device has an answer of its own. */
const PATIENCE_MS = 5_000

const AWAY_STATUSES: ReadonlySet<unknown> = new Set(['FETCH_ERROR', 'TIMEOUT_ERROR', 502, 503, 504])

/** One version of a program is the same for ever. */
const UNCHANGING = /^programs\//

/** Kept in a shape of its own, and never answered from here. */
const CARRIED = /\/carry\b/

/** Heavy, and made here from what is carried anyway: no copy is kept. */
const MADE_HERE = /\/evidence\b/

export interface DeviceParts {
  /** Answers a question from what lies on this device. */
  readonly readHere: (key: string) => Promise<unknown>
  /** Told of every answer, and of every silence. */
  readonly onHeard: (api: BaseQueryApi, wasHeard: boolean) => void
  /** This device was cut off from the yard. */
  readonly onCutOff: () => void
}

/** The key of a question: its path and query without the slash it begins with. */
export const keyOf = ({ url, params }: FetchArgs): string => {
  const entries = Object.entries((params ?? {}) as Record<string, unknown>)
  const query = new URLSearchParams(
    entries.flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)] as [string, string]],
    ),
  ).toString()
  return `${url.replace(/^\//, '')}${query ? `?${query}` : ''}`
}

const isCutOff = (error: FetchBaseQueryError | undefined): boolean =>
  (error?.data as { type?: unknown } | undefined)?.type === 'cut-off'

/** Asks the server, and where it cannot be reached answers from this device. Writes are never answered from here. */
export const onDeviceToo =
  (ask: Ask, { readHere, onHeard, onCutOff }: DeviceParts): Ask =>
  async (asked, api, extra) => {
    const args = typeof asked === 'string' ? { url: asked } : asked
    const key = keyOf(args)
    if ((args.method ?? 'GET') !== 'GET' || CARRIED.test(key)) return ask(args, api, extra)
    // Who signed out without signal is signed out before the server is asked for anything of theirs.
    if (navigator.onLine) await paySignOut()
    const keepsCopy = !MADE_HERE.test(key)
    const kept = keepsCopy ? await keptReply(key) : undefined
    if (kept && UNCHANGING.test(key)) return { data: kept.body }
    const reply = kept
      ? navigator.onLine
        ? await ask({ ...args, timeout: PATIENCE_MS }, api, extra)
        : { error: { status: 'FETCH_ERROR' as const, error: 'offline' } }
      : await ask(args, api, extra)
    if (!reply.error) {
      onHeard(api, true)
      const data = await withWhatWaits(key, reply.data).catch(() => reply.data)
      if (keepsCopy) void keepReply(key, data, Date.now())
      return { ...reply, data }
    }
    if (isCutOff(reply.error)) onCutOff()
    if (!AWAY_STATUSES.has(reply.error.status)) return reply
    onHeard(api, false)
    const here = await readHere(key).catch(() => undefined)
    const data = here ?? kept?.body
    return data === undefined ? reply : { data }
  }

import { useEffect } from 'react'
import { api, useQuery } from '../app/client'
import { store, useAppDispatch, useAppSelector } from '../app/store'
import { type AskCarry, carryHorse, device, forgetOldReplies, forgetOldTaken } from '@still-pine/device'
import { readHere } from '../threads/reader'

/** What was carried so lately is not asked for again without a reason. */
const FRESH_MS = 10 * 60_000

const LOOK_EVERY_MS = 1_000
const QUIET_MS = 15_000

/** In the pen nothing is fetched or worked out for later until nothing was asked for so long: it would hold up a press. */
const untilNobodyAsks = async (): Promise<void> => {
  const asked = (): number => store.getState().pen?.answers.length ?? 0
  let before = asked()
  let quietSince = performance.now()
  while (store.getState().pen !== null && performance.now() - quietSince < QUIET_MS) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_EVERY_MS))
    if (store.getState().pen?.running || asked() !== before) quietSince = performance.now()
    before = asked()
  }
}

/** When each horse was carried last: remembered here, for what is carried is long to read. */
const carriedAt = new Map<string, number>()

const lastCarried = async (personId: string, horseId: string): Promise<number> => {
  const key = `${personId}/${horseId}`
  const known = carriedAt.get(key) ?? (await device.carried.get([personId, horseId]))?.at ?? 0
  carriedAt.set(key, known)
  return known
}

const isFresh = async (personId: string, horseId: string, sentAt: number): Promise<boolean> => {
  const at = await lastCarried(personId, horseId)
  return at > sentAt && Date.now() - at < FRESH_MS
}

/** When something of a horse reached the server last, from here or elsewhere, so that it is carried back. */
const changedAt = new Map<string, number>()
export const wasChanged = (horseIds: readonly string[]): void => {
  for (const id of horseIds) changedAt.set(id, Date.now())
}

/** Horses carried anew whose Lines are not worked out on this device yet: that needs no signal, so it comes last. */
const toWorkOut = new Set<string>()

let carrying: Promise<void> = Promise.resolve()

/**
 * Takes today's horses along, with their programs, one after the other, while there is signal; then their Lines are
 * worked out, away from the page, to be there at once when there is none.
 */
export const useCarrying = (personId: string | undefined): void => {
  const dispatch = useAppDispatch()
  const { data } = useQuery('today', undefined, { skip: personId === undefined })
  const isAway = useAppSelector(({ sync }) => sync.isAway)
  const waiting = useAppSelector(({ sync }) => sync.waiting)
  useEffect(() => {
    if (personId === undefined || data === undefined || isAway || waiting > 0) return
    let over = false
    const ask: AskCarry = async (horseId, cursor) => {
      await untilNobodyAsks()
      const found = dispatch(api.endpoints.carry.initiate({ horseId, ...cursor }, { forceRefetch: true }))
      const { data: page } = await found
      found.unsubscribe()
      return page ?? null
    }
    const all = async (): Promise<void> => {
      await untilNobodyAsks()
      if (over) return
      await forgetOldReplies(Date.now())
      await forgetOldTaken(Date.now())
      for (const { horse } of data.rows) {
        if (over) return
        if (await isFresh(personId, horse.id, changedAt.get(horse.id) ?? 0)) continue
        const program = dispatch(api.endpoints.program.initiate({ programId: horse.programId }))
        await program
        program.unsubscribe()
        const now = Date.now()
        const outcome = await carryHorse(personId, horse.id, { ask, now })
        if (outcome === 'away') return
        carriedAt.set(`${personId}/${horse.id}`, now)
        if (outcome === 'new') toWorkOut.add(horse.id)
      }
      for (const horseId of toWorkOut) {
        await untilNobodyAsks()
        if (over) return
        await readHere({ name: 'line', named: { horseId } })
        toWorkOut.delete(horseId)
      }
    }
    // A device without room goes without; what is logged is kept all the same.
    carrying = carrying.then(all).catch(() => undefined)
    return () => {
      over = true
    }
  }, [data, dispatch, isAway, personId, waiting])
}

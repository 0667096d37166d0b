import { streams, type Changed } from '@still-pine/contract'
import type { Router } from 'express'
import type { Dependencies } from './dependencies'
import { askerOf } from './serve'

/** A connection that nothing is told on is closed by whatever lies between; and who may no longer read is found out. */
const BEAT_MS = 25_000

/** Tells a page of its yard's changes as they are committed, as server-sent events (HTML Living Standard, section 9.2). */
export const changesRoute = (router: Router, deps: Dependencies): void => {
  const { path, needs, type } = streams.changes
  router.get(path, async (request, response) => {
    const { yardId } = await askerOf(deps, request, needs)
    // Packed it would wait until there is enough to pack.
    response.set({
      'Content-Type': type,
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    })
    response.flushHeaders()
    response.write('retry: 2000\n\n')
    const tell = (changed: Changed): boolean => response.write(`data: ${JSON.stringify(changed)}\n\n`)
    const beat = setInterval(() => {
      askerOf(deps, request, needs).then(
        () => response.write(': still here\n\n'),
        () => response.end(),
      )
    }, BEAT_MS)
    const leave = deps.changes.watch(yardId, {
      changed: (horses) => tell({ horseIds: horses === 'anything' ? null : [...horses] }),
      ended: () => void response.end(),
    })
    response.on('close', () => {
      clearInterval(beat)
      leave()
    })
  })
}

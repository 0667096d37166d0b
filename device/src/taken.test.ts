import 'fake-indexeddb/auto'
import { PIECE_BYTES } from '@still-pine/contract/attachment-kinds'
import { v7 as uuid } from 'uuid'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { device } from './store'
import { countTaken, NoRoom, saveTaken, sendFilePiece, sendTakenAgain, takenHere } from './taken'

const ME = 'me'

/** What a server has of each file, and what it answers instead of taking a piece. */
const server = {
  has: new Map<string, number>(),
  instead: new Map<string, number>(),
  small: new Set<string>(),
}

const answered = (status: number, body: object = {}): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

const sizeOf = new Map<string, number>()

beforeEach(() => {
  vi.stubGlobal('navigator', {})
  vi.stubGlobal('fetch', async (path: string, { body }: { body: Blob }) => {
    const [, id = '', what, from] = /attachments\/([^/]+)\/(\w+)\/?(\d*)/.exec(path) ?? []
    const instead = server.instead.get(id)
    if (instead === 0) throw new TypeError('no signal')
    if (instead) return answered(instead, { title: 'not a picture' })
    if (what === 'thumbnail') {
      server.small.add(id)
      return answered(200)
    }
    const had = server.has.get(id) ?? 0
    const has = Number(from) === had ? had + body.size : had
    server.has.set(id, has)
    return answered(200, { bytes: has, isWhole: has === sizeOf.get(id) })
  })
})
afterEach(async () => {
  vi.unstubAllGlobals()
  for (const part of [server.has, server.instead, server.small]) part.clear()
  await device.taken.clear()
  await device.waiting.clear()
})

const taken = async (bytes: number, thumbnail: Blob | null = null): Promise<string> => {
  const id = uuid()
  sizeOf.set(id, bytes)
  await saveTaken({ id, personId: ME, horseId: 'h', thumbnail, file: new Blob([new Uint8Array(bytes)]) })
  return id
}

const sendAll = async (): Promise<string> => {
  for (;;) {
    const sent = await sendFilePiece(ME)
    if (sent !== 'sent') return sent
  }
}

describe('the file of a picture', () => {
  it('goes in pieces after its small picture, and takes no more room here then', async () => {
    const id = await taken(2 * PIECE_BYTES + 10, new Blob(['small']))
    expect(await sendFilePiece(ME)).toBe('sent')
    expect([server.small.has(id), server.has.get(id)]).toEqual([true, undefined])
    expect(await sendFilePiece(ME)).toBe('sent')
    expect(server.has.get(id)).toBe(PIECE_BYTES)
    expect(await sendAll()).toBe('idle')
    expect(server.has.get(id)).toBe(2 * PIECE_BYTES + 10)
    expect(await takenHere(ME)).toEqual([])
    expect((await device.taken.get(id))?.thumbnail).not.toBeNull()
  })

  it('goes on where the server says, whatever this device believes', async () => {
    const id = await taken(3 * PIECE_BYTES)
    server.has.set(id, 2 * PIECE_BYTES)
    expect(await sendAll()).toBe('idle')
    expect(server.has.get(id)).toBe(3 * PIECE_BYTES)
  })

  it.each([0, 401, 409, 429, 500, 503, 507])('waits where the server answers %i', async (status) => {
    const id = await taken(10)
    server.instead.set(id, status)
    expect(await sendFilePiece(ME)).toBe('away')
    expect(await countTaken(ME)).toEqual({ files: 1, refused: 0 })
    server.instead.clear()
    expect(await sendAll()).toBe('idle')
  })

  it('that is refused waits for a person, holds up no other, and can be sent anew', async () => {
    const bad = await taken(10)
    server.instead.set(bad, 422)
    const good = await taken(20)
    expect(await sendAll()).toBe('idle')
    expect(server.has.get(good)).toBe(20)
    expect(await countTaken(ME)).toEqual({ files: 0, refused: 1 })
    expect((await takenHere(ME))[0]).toMatchObject({ id: bad, refused: 'not a picture' })
    server.instead.clear()
    await sendTakenAgain(bad)
    expect(await sendAll()).toBe('idle')
    expect(await takenHere(ME)).toEqual([])
  })

  it('waits as long as its record waits here, and is told to a person where nobody announces it', async () => {
    const id = await taken(10)
    server.instead.set(id, 404)
    const entry = { id, personId: ME, horseId: 'h', item: { do: 'attach' } as never, readyAt: 0, keptAt: 0 }
    const order = await device.waiting.add(entry as never)
    const other = await taken(20)
    expect(await sendAll()).toBe('away')
    expect(server.has.get(other)).toBe(20)
    expect(await countTaken(ME)).toEqual({ files: 1, refused: 0 })
    await device.waiting.delete(order)
    await sendAll()
    expect(await countTaken(ME)).toEqual({ files: 0, refused: 1 })
  })

  it('never takes the last of the room from the answers', async () => {
    const room = { quota: 100 * 2 ** 20, usage: 79.9 * 2 ** 20 }
    vi.stubGlobal('navigator', { storage: { estimate: async () => room } })
    await expect(taken(1 << 20)).rejects.toThrow(NoRoom)
    room.usage = 70 * 2 ** 20
    await taken(1 << 20)
    expect(await countTaken(ME)).toEqual({ files: 1, refused: 0 })
  })
})

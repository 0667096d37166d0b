import { readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  files,
  PIECE_BYTES,
  type Progress,
  type Attachment,
  type Problem,
  type Received,
} from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sweepYard } from '../src/records/sweep-files'
import { addHorse, answerItem, incidentItem, sendBatch, sessionItem, TestClock } from './making'
import { attachItem, JPEG, png, sha256, WEBM } from './media'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
let horse: string
let session: string

beforeAll(async () => {
  yard = await startYard({ now: clock.now })
  horse = await addHorse(yard.starter)
  const item = sessionItem(horse, '2026-05-14T07:50:00Z')
  session = item.session.id
  await sendBatch(yard.starter, [item], clock.iso)
})
afterAll(() => yard.stop())

const put = async (item: ReturnType<typeof attachItem>): Promise<string> => {
  const { body } = await sendBatch(yard.starter, [item], clock.iso)
  expect(body.items).toMatchObject([{ status: 'kept' }])
  return item.id
}

const piece = (id: string, from: number, bytes: Uint8Array) =>
  yard.starter.bytes<Received & Problem>('PUT', `/attachments/${id}/pieces/${from}`, { body: bytes })

const listed = async (): Promise<Attachment[]> =>
  (await yard.starter.get<{ attachments: Attachment[] }>(`/horses/${horse}/attachments`)).body.attachments

const one = async (id: string): Promise<Attachment> => (await listed()).find((found) => found.id === id)!

describe('a picture', () => {
  it('comes in pieces, is known by its content, and goes out as it came, whole or by ranges', async () => {
    const bytes = png(900, 7)
    expect(bytes.length).toBeGreaterThan(2 * PIECE_BYTES)
    const id = await put(attachItem(horse, { bytes, recordId: session, change: { words: 'hind foot' } }))
    expect(await one(id)).toMatchObject({ file: 'coming', words: 'hind foot', byName: 'Runa Vik' })
    for (let from = 0; from < bytes.length; from += PIECE_BYTES) {
      const { status, body } = await piece(id, from, bytes.subarray(from, from + PIECE_BYTES))
      expect(status).toBe(200)
      expect(body.isWhole).toBe(from + PIECE_BYTES >= bytes.length)
    }
    expect(await one(id)).toMatchObject({ file: 'here', refused: null })
    const out = await yard.starter.bytes('GET', `/attachments/${id}/file`)
    expect(sha256(out.raw)).toBe(sha256(bytes))
    expect(out.headers.get('content-type')).toBe('image/png')
    expect(out.headers.get('x-content-type-options')).toBe('nosniff')
    expect(out.headers.get('content-security-policy')).toBe("default-src 'none'; sandbox")
    const some = await yard.starter.bytes('GET', `/attachments/${id}/file`, {
      headers: { Range: 'bytes=10-19' },
    })
    expect([some.status, sha256(some.raw)]).toEqual([206, sha256(bytes.subarray(10, 20))])
  })

  it('that was cut off in the middle goes on where it stood, and a piece sent twice is there once', async () => {
    const bytes = png(900, 11)
    const id = await put(attachItem(horse, { bytes, recordId: session }))
    await piece(id, 0, bytes.subarray(0, PIECE_BYTES))
    const again = await piece(id, 0, bytes.subarray(0, PIECE_BYTES))
    expect(again.body).toEqual({ bytes: PIECE_BYTES, isWhole: false })
    // Ahead of what is there: nothing is taken, and the sender hears where to go on.
    const ahead = await piece(id, 2 * PIECE_BYTES, bytes.subarray(2 * PIECE_BYTES, 3 * PIECE_BYTES))
    expect(ahead.body).toEqual({ bytes: PIECE_BYTES, isWhole: false })
    let from = PIECE_BYTES
    while (from < bytes.length)
      from = (await piece(id, from, bytes.subarray(from, from + PIECE_BYTES))).body.bytes
    expect((await piece(id, 0, bytes.subarray(0, 10))).body).toEqual({ bytes: bytes.length, isWhole: true })
    expect((await one(id)).file).toBe('here')
  })

  it('sent by two at the same moment is whole all the same', async () => {
    const bytes = png(500, 3)
    const id = await put(attachItem(horse, { bytes, recordId: session }))
    const send = async () => {
      let from = 0
      while (from < bytes.length)
        from = (await piece(id, from, bytes.subarray(from, from + 50_000))).body.bytes
    }
    await Promise.all([send(), send(), send()])
    const out = await yard.starter.bytes('GET', `/attachments/${id}/file`)
    expect(sha256(out.raw)).toBe(sha256(bytes))
  })

  it.each([
    ['a script', Buffer.from('<script>alert(1)</script>')],
    [
      'a drawing that can hold one',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>'),
    ],
    ['a page', Buffer.from('<!doctype html><script>alert(1)</script>')],
    ['a clip', WEBM],
  ])('that is %s is refused with a reason, kept nowhere and served to nobody', async (_what, bytes) => {
    const id = await put(attachItem(horse, { bytes, recordId: session }))
    const { status, body } = await piece(id, 0, bytes)
    expect([status, body.type]).toEqual([422, 'not-kept'])
    expect(body.title).toMatch(/not a picture that can be shown/)
    expect(await one(id)).toMatchObject({ file: 'refused', refused: body.title })
    expect((await yard.starter.bytes('GET', `/attachments/${id}/file`)).status).toBe(404)
    expect(filesUnder(yard.filesFolder).filter((name) => name.startsWith(id))).toEqual([])
  })

  it('that is another than was announced is refused, and can be sent anew', async () => {
    const bytes = png(20)
    const id = await put(attachItem(horse, { bytes, recordId: session }))
    const other = Buffer.from(bytes)
    other[30] = other[30]! ^ 1
    expect((await piece(id, 0, other)).status).toBe(422)
    expect((await piece(id, 0, bytes)).body.isWhole).toBe(true)
    const longer = await put(attachItem(horse, { bytes, recordId: session }))
    expect((await piece(longer, 0, Buffer.concat([bytes, bytes]))).status).toBe(400)
  })

  it('has a small picture beside it, which must be a JPEG', async () => {
    const id = await put(attachItem(horse, { bytes: png(20), recordId: session }))
    const path = `/attachments/${id}/thumbnail`
    expect((await yard.starter.bytes('GET', path)).status).toBe(404)
    expect((await yard.starter.bytes('PUT', path, { body: Buffer.from('<svg/>') })).status).toBe(400)
    expect((await yard.starter.bytes('PUT', path, { body: JPEG })).status).toBe(200)
    const out = await yard.starter.bytes('GET', path)
    expect([out.headers.get('content-type'), sha256(out.raw)]).toEqual(['image/jpeg', sha256(JPEG)])
    await piece(id, 0, png(20))
  })
})

const filesUnder = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map(({ name }) => name)

describe('what is attached', () => {
  it('belongs to a session, an answer, a check or an incident that is there', async () => {
    const bytes = png(20)
    const answer = answerItem(horse, session, { at: '2026-05-14T08:00:00Z' })
    const incident = incidentItem(horse, {
      kind: 'kick',
      on: '2026-05-14',
      step: null,
      side: null,
      where: '',
      before: '',
      after: '',
    })
    const check = uuid()
    await yard.starter.put(`/horses/${horse}/checks/${check}`, {
      kind: 'feet',
      on: '2026-05-14',
      until: null,
      passed: true,
      note: '',
    })
    const of = (to: 'session' | 'answer' | 'check' | 'incident', recordId: string) =>
      attachItem(horse, { bytes, to, recordId })
    const { body } = await sendBatch(
      yard.starter,
      [
        answer,
        incident,
        of('answer', answer.answer.id),
        of('incident', incident.id),
        of('check', check),
        of('session', uuid()),
        of('check', session),
      ],
      clock.iso,
    )
    expect(body.items.map(({ status }) => status)).toEqual([
      'kept',
      'kept',
      'kept',
      'kept',
      'kept',
      'refused',
      'refused',
    ])
    expect(body.items[5]!.reason).toBe('The session it belongs to is not known: send that first.')
  })

  it.each([
    ['picture', 8],
    ['clip', 64],
    ['voice', 16],
  ] as const)('is refused where a %s is over %i MB, before a byte of it is sent', async (kind, megabytes) => {
    const item = attachItem(horse, { bytes: png(20), recordId: session, kind })
    const sized = (bytes: number) => ({ ...item, id: uuid(), attachment: { ...item.attachment, bytes } })
    const { body } = await sendBatch(
      yard.starter,
      [sized(megabytes * 2 ** 20), sized(megabytes * 2 ** 20 + 1), sized(0)],
      clock.iso,
    )
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'refused', 'refused'])
    expect(body.items[1]!.reason).toMatch(/larger than can be kept/)
  })

  it('keeps its file whatever is said of it later, and can be taken back and had again', async () => {
    const bytes = png(20)
    const item = attachItem(horse, { bytes, recordId: session })
    await put(item)
    await piece(item.id, 0, bytes)
    const changed = (change: object) => ({ ...item, attachment: { ...item.attachment, ...change } })
    await put(changed({ words: 'the other foot', takenBack: true }))
    expect(await one(item.id)).toMatchObject({ words: 'the other foot', takenBack: true, file: 'here' })
    await put(changed({ takenBack: false }))
    expect(await one(item.id)).toMatchObject({ words: '', takenBack: false })
    const other = await sendBatch(yard.starter, [changed({ sha256: '0'.repeat(64) })], clock.iso)
    expect(other.body.items[0]).toMatchObject({ status: 'refused', reason: /Another file has this id/ })
  })

  it('is removed from the disk a week after it was taken back, and not before', async () => {
    const bytes = png(30)
    const item = attachItem(horse, { bytes, recordId: session, change: { takenBack: true } })
    await put(item)
    await piece(item.id, 0, bytes)
    const [yardId] = readdirSync(yard.filesFolder)
    const sweep = () => sweepYard(yard.workings, yardId!)
    expect(await sweep()).toBe(0)
    clock.set('2026-05-21T09:01:00Z')
    expect(await sweep()).toBe(1)
    expect(filesUnder(yard.filesFolder)).not.toContain(item.id)
    expect(await one(item.id)).toMatchObject({ file: 'refused', refused: 'It was taken back, and removed.' })
    expect(await sweep()).toBe(0)
  })

  it('says so where the disk holds no more, and nothing of it is lost', async () => {
    const bytes = png(900, 5)
    const id = await put(attachItem(horse, { bytes, recordId: session }))
    await piece(id, 0, bytes.subarray(0, PIECE_BYTES))
    // A device whose writes fail as a full disk's do (Linux, null(4)): the file goes on where it stood.
    const [yardId] = readdirSync(yard.filesFolder)
    const part = join(yard.filesFolder, yardId!, `${id}.part`)
    const so = readFileSync(part)
    rmSync(part)
    symlinkSync('/dev/full', part)
    const full = await piece(id, 0, bytes.subarray(0, PIECE_BYTES))
    expect([full.status, full.body.type]).toEqual([507, 'no-room'])
    rmSync(part)
    writeFileSync(part, so)
    const on = await piece(id, PIECE_BYTES, bytes.subarray(PIECE_BYTES, 2 * PIECE_BYTES))
    expect(on.body.bytes).toBe(2 * PIECE_BYTES)
  })

  it('is seen by a helper, who adds to it and chooses nothing for the owner', async () => {
    const bytes = png(25)
    const helper = { name: 'Una', role: 'helper', email: 'una@example.org', password: 'a long enough one' }
    await yard.starter.put(`/people/${uuid()}`, helper)
    const visitor = yard.visitor()
    await visitor.post('/sign-in', helper)
    const item = attachItem(horse, { bytes, recordId: session })
    const { body } = await sendBatch(
      visitor,
      [item, attachItem(horse, { bytes, recordId: session, change: { inReport: true } })],
      clock.iso,
    )
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'refused'])
    await visitor.bytes('PUT', `/attachments/${item.id}/pieces/0`, { body: bytes })
    await visitor.bytes('PUT', `/attachments/${item.id}/thumbnail`, { body: JPEG })
    for (const which of ['file', 'thumbnail'])
      expect((await visitor.bytes('GET', `/attachments/${item.id}/${which}`)).status).toBe(200)
  })

  it('is nobody else’s, and nothing but an id names it', async () => {
    const visitor = yard.visitor()
    const id = await put(attachItem(horse, { bytes: png(20), recordId: session }))
    for (const path of [`/attachments/${id}/file`, `/attachments/${id}/thumbnail`])
      expect((await visitor.bytes('GET', path)).status).toBe(401)
    writeFileSync(join(yard.filesFolder, 'secret'), 'secret')
    for (const path of [`/attachments/..%2Fsecret/file`, `/attachments/${uuid()}/file`])
      expect((await yard.starter.bytes('GET', path)).status).toBe(404)
    expect((await piece(uuid(), 0, JPEG)).status).toBe(404)
    expect((await piece(id, -1, JPEG)).status).toBe(400)
    expect((await piece(id, 0, Buffer.alloc(PIECE_BYTES + 1))).status).toBe(413)
    expect((await piece(id, 0, Buffer.alloc(0))).status).toBe(400)
  })
})

describe('a yard as a ZIP', () => {
  const zipOf = async (): Promise<Buffer> => (await yard.starter.bytes('GET', files.yardZipOut.path)).raw

  const broughtIn = async (zip: Uint8Array) => {
    const second = await startYard({ now: clock.now })
    const { raw } = await second.starter.bytes('POST', files.yardIn.path, { body: zip })
    const last = JSON.parse(raw.toString().trim().split('\n').at(-1)!) as Progress
    return { second, last }
  }

  it('goes out with its files and comes in with them, every byte', async () => {
    const zip = await zipOf()
    const { second, last } = await broughtIn(zip)
    expect(last).toMatchObject({ step: 'done' })
    const here = await listed()
    const there = await second.starter.get<{ attachments: Attachment[] }>(`/horses/${horse}/attachments`)
    const plain = (all: readonly Attachment[]) =>
      all.map(({ id, file, words, sha256, to, recordId, takenBack }) => {
        // What never came, or was refused, is not here and not there.
        return { id, isHere: file === 'here', words, sha256, to, recordId, takenBack }
      })
    expect(plain(there.body.attachments)).toEqual(plain(here))
    const kept = here.filter(({ file }) => file === 'here')
    expect(kept.length).toBeGreaterThan(3)
    for (const { id, sha256: sum } of kept) {
      const { raw } = await second.starter.bytes('GET', `/attachments/${id}/file`)
      expect(sha256(raw)).toBe(sum)
    }
    const small = await second.starter.bytes('GET', `/attachments/${withThumbnail(here)}/thumbnail`)
    expect(sha256(small.raw)).toBe(sha256(JPEG))
    await second.stop()
  })

  const withThumbnail = (all: readonly Attachment[]): string =>
    filesUnder(yard.filesFolder)
      .filter((name) => name.endsWith('.thumbnail'))
      .map((name) => name.slice(0, 36))
      .find((id) => all.some((found) => found.id === id && found.file === 'here'))!

  it('comes in as a document alone too, which says of each file that it is missing', async () => {
    const { text } = await yard.starter.file('GET', files.yardOut.path)
    const { second, last } = await broughtIn(Buffer.from(text))
    expect(last).toMatchObject({ step: 'done' })
    const { body } = await second.starter.get<{ attachments: Attachment[] }>(`/horses/${horse}/attachments`)
    expect(new Set(body.attachments.map(({ file }) => file))).toEqual(new Set(['refused']))
    await second.stop()
  })

  it('that is cut off or damaged brings nothing in, and says so', async () => {
    const zip = await zipOf()
    const flipped = Buffer.from(zip)
    flipped[200] = flipped[200]! ^ 8
    for (const bad of [zip.subarray(0, zip.length / 2), flipped, Buffer.from('PK\x03\x04nothing')]) {
      const { second, last } = await broughtIn(bad)
      expect(last).toMatchObject({ step: 'problem', title: expect.stringMatching(/be read/) as string })
      expect((await second.starter.get<{ rows: unknown[] }>('/today')).body.rows).toEqual([])
      expect(filesUnder(second.filesFolder)).toEqual([])
      await second.stop()
    }
  })

  it('with a damaged picture comes in without that picture', async () => {
    const zip = await zipOf()
    const bytes = png(20)
    const at = zip.indexOf(bytes)
    zip[at + 30] = zip[at + 30]! ^ 1
    const { second, last } = await broughtIn(zip)
    expect(last).toMatchObject({ step: 'done' })
    const { body } = await second.starter.get<{ attachments: Attachment[] }>(`/horses/${horse}/attachments`)
    const here = (all: readonly Attachment[]) => all.filter(({ file }) => file === 'here').length
    expect(here(body.attachments)).toBe(here(await listed()) - 1)
    await second.stop()
  })
})

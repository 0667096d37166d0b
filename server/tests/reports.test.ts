import type { NamedReport, Problem, Report, ReportLink } from '@still-pine/contract'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { reportPdf } from '../src/paper/report-pdf'
import { runsOf } from '../src/paper/letters'
import { addHorse, answerItem, incidentItem, sendBatch, sessionItem, TestClock } from './making'
import { attachItem, JPEG, png } from './media'
import { startYard, type Running, type Visitor } from './running'

const NOW = '2026-05-14T09:00:00Z'
const clock = new TestClock(NOW)
let yard: Running & { starter: Visitor }
let horseId: string
beforeAll(async () => {
  yard = await startYard({ now: clock.now, signInTries: 100 })
  horseId = await addHorse(yard.starter, { name: 'Curlew “Ωμέγα”' })
  const session = sessionItem(horseId, '2026-05-14T08:00:00Z')
  const at = (minute: number): string => `2026-05-14T08:0${minute}:00Z`
  const items = [
    session,
    answerItem(horseId, session.session.id, { at: at(1) }),
    answerItem(horseId, session.session.id, { at: at(2), change: { grade: 3, calm: 2 } }),
    incidentItem(horseId, {
      kind: 'kick',
      on: '2026-05-14',
      step: 'settle-in-pen',
      side: null,
      hurt: 'none',
      where: '',
      before: '',
      after: 'It was left to stand.',
    }),
  ]
  await sendBatch(yard.starter, items, clock.iso)
})
afterAll(() => yard.stop())

const makeLink = async (until = '2026-06-14', id = uuid()): Promise<ReportLink> => {
  const reply = await yard.starter.put<ReportLink>(`/horses/${horseId}/report-links/${id}`, { until })
  expect(reply.status).toBe(200)
  return reply.body
}
const readBy = ({ token, code }: { token: string | null; code: string | null }) =>
  yard.visitor().post<NamedReport & Problem>('/shared-report', { token, code })

describe('a report', () => {
  it('tells only what was recorded: what was asked, what is next, incidents plainly', async () => {
    const { body } = await yard.starter.get<Report>(`/horses/${horseId}/report`)
    expect(body.done).toEqual([
      {
        day: '2026-05-14',
        place: null,
        steps: [expect.objectContaining({ name: 'Settle in the pen', asked: 2, light: 1 })],
      },
    ])
    expect(body.incidents).toEqual([
      'A kick on 2026-05-14 at settle in the pen: nobody was hurt. After it: It was left to stand.',
    ])
    expect(body.holds).toEqual([])
    expect(body.next?.name).toBe('Halter')
    expect(body.tight).toEqual([])
  })

  it('is a PDF of real text, in any script that ships', async () => {
    const pdf = await yard.starter.file('GET', `/out/report.pdf?horseId=${horseId}`)
    expect(pdf).toMatchObject({ status: 200, text: expect.stringMatching(/^%PDF-/) })
    expect((await yard.visitor().file('GET', `/out/report.pdf?horseId=${horseId}`)).status).toBe(401)
    expect((await yard.starter.file('GET', `/out/report.pdf?horseId=${uuid()}`)).status).toBe(404)
    expect((await yard.starter.file('GET', '/out/report.pdf')).status).toBe(400)
  })
})

describe('a link to a report', () => {
  it('is read with its code and without a sign-in, and says when it was read', async () => {
    const link = await makeLink()
    expect(await readBy(link)).toMatchObject({
      status: 200,
      body: { horseName: 'Curlew “Ωμέγα”', report: { day: '2026-05-14' } },
    })
    const { body } = await yard.starter.get<{ links: ReportLink[] }>(`/horses/${horseId}/report-links`)
    expect(body.links.find(({ id }) => id === link.id)?.readAt).not.toBeNull()
  })

  it('is the same when it is asked for twice, and another’s is not ours', async () => {
    const id = uuid()
    expect(await makeLink('2026-06-14', id)).toEqual(await makeLink('2026-06-14', id))
    const other = await addHorse(yard.starter, { name: 'Ruff' })
    expect(
      (await yard.starter.put(`/horses/${other}/report-links/${id}`, { until: '2026-06-14' })).status,
    ).toBe(404)
  })

  it('shows nothing to a wrong code, and is revoked after ten', async () => {
    const link = await makeLink()
    expect(await readBy({ ...link, code: '' })).toMatchObject({
      status: 400,
      body: { fields: [{ path: 'code' }] },
    })
    for (let i = 1; i < 10; i++) expect((await readBy({ ...link, code: 'wrong' })).status).toBe(400)
    expect((await readBy(link)).status).toBe(404)
  })

  it('shows the pictures the yard chose, and neither others nor any way to them', async () => {
    const at = { change: { at: '2026-05-14T08:30:00.000Z' } }
    const sessionId = sessionItem(horseId, '2026-05-14T08:20:00Z')
    const bytes = png(20)
    const [chosen, other] = [true, false].map((inReport) =>
      attachItem(horseId, {
        bytes,
        recordId: sessionId.session.id,
        change: { ...at.change, inReport, words: 'at the gate' },
      }),
    ) as [ReturnType<typeof attachItem>, ReturnType<typeof attachItem>]
    await sendBatch(yard.starter, [sessionId, chosen, other], clock.iso)
    for (const { id } of [chosen, other]) {
      await yard.starter.bytes('PUT', `/attachments/${id}/pieces/0`, { body: bytes })
      await yard.starter.bytes('PUT', `/attachments/${id}/thumbnail`, { body: JPEG })
    }
    const { body } = await readBy(await makeLink())
    expect(body.report.pictures).toEqual([{ id: chosen.id, day: '2026-05-14', words: 'at the gate' }])
    expect(body.pictures).toEqual({ [chosen.id]: JPEG.toString('base64') })
    const email = 'owner@example.org'
    const personId = uuid()
    await yard.starter.put(`/people/${personId}`, {
      name: 'Una',
      role: 'owner',
      email,
      password: 'a long enough one',
    })
    const { body: horse } = await yard.starter.get<{ version: number }>(`/horses/${horseId}`)
    await yard.starter.put(`/horses/${horseId}/owner`, { personId, version: horse.version })
    const owner = yard.visitor()
    await owner.post('/sign-in', { email, password: 'a long enough one' })
    const status = async (id: string, which: string) =>
      (await owner.bytes('GET', `/attachments/${id}/${which}`)).status
    expect(await status(chosen.id, 'thumbnail')).toBe(200)
    expect(await status(chosen.id, 'file')).toBe(403)
    expect(await status(other.id, 'thumbnail')).toBe(404)
    expect((await owner.bytes('PUT', `/attachments/${other.id}/pieces/0`, { body: bytes })).status).toBe(403)
  })

  it('ends after its day, and when it is revoked for good', async () => {
    const ended = await makeLink('2026-05-14')
    expect((await readBy(ended)).status).toBe(200)
    clock.set('2026-05-15T09:00:00Z')
    expect(await readBy(ended)).toMatchObject({ status: 404, body: { title: /has ended/ } })
    clock.set(NOW)
    const link = await makeLink()
    const put = (revoked: boolean) =>
      yard.starter.put<ReportLink>(`/horses/${horseId}/report-links/${link.id}`, {
        until: '2026-06-14',
        revoked,
      })
    expect((await put(true)).body).toMatchObject({ revoked: true, token: null, code: null })
    expect((await readBy(link)).status).toBe(404)
    expect((await put(false)).body.revoked).toBe(true)
    expect((await readBy(link)).status).toBe(404)
  })

  it('is made by a starter only, and not for a day that is over', async () => {
    const past = await yard.starter.put<Problem>(`/horses/${horseId}/report-links/${uuid()}`, {
      until: '2026-05-13',
    })
    expect(past).toMatchObject({ status: 400, body: { fields: [{ path: 'until' }] } })
    expect((await yard.visitor().get(`/horses/${horseId}/report-links`)).status).toBe(401)
    for (const token of ['', 'x', '𝕳', `${'0'.repeat(32)}.${'A'.repeat(43)}`])
      expect((await readBy({ token, code: '000000' })).status).toBe(404)
  })
})

describe('the paper', () => {
  const report: Report = {
    day: '2026-05-14',
    from: '2026-04-16',
    school: 'Feet First',
    done: [
      { day: '2026-05-14', place: 'Round pen', steps: [{ name: 'Bend', asked: 6, light: 5, hardest: '' }] },
    ],
    holds: [{ name: 'Bend', side: 'left', state: 'solid', holds: 'nose to girth', lastDay: '2026-05-14' }],
    underWay: [],
    next: { name: 'Halter', verdict: 'not-yet', sentence: '3 of 5 skills hold.', waitsFor: ['Catch'] },
    forecast:
      'First time up, as reckoned on 2026-05-14: between 2026-05-30 and 2026-06-10 (8 of 10 such horses).',
    incidents: [],
    tight: [],
    against: [],
    pictures: [],
  }

  // PDF.js reads what a person would copy out of it.
  const textOf = async (pdf: Buffer): Promise<string> => {
    const read = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
    const texts: string[] = []
    for (let i = 1; i <= read.numPages; i++) {
      const { items } = await (await read.getPage(i)).getTextContent()
      texts.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? ' ' : '') : '')).join(''))
    }
    return texts.join(' ').replace(/\s+/g, ' ')
  }

  it('says in words what the page says', async () => {
    const pdf = await reportPdf({
      yardName: 'Still Pine',
      horseName: 'Ωμέγα Кроншнеп Ørn',
      report,
      pictures: {},
    })
    const text = await textOf(pdf)
    expect(text).toContain('Ωμέγα Кроншнеп Ørn')
    expect(text).toContain('The gate “Halter”: Not yet. 3 of 5 skills hold.')
    expect(text).toContain('Bend 6 times, 5 light.')
  })

  it('shows the pictures that came along, each with its day and what is seen, and no others', async () => {
    const taken = (id: string, words: string) => ({ id, day: '2026-05-14', words })
    const pictured = { ...report, pictures: [taken('a', 'the gate'), taken('b', 'the pond'), taken('c', '')] }
    const pictures = { a: JPEG.toString('base64'), c: JPEG.toString('base64') }
    const pdf = await reportPdf({ yardName: 'Y', horseName: 'Sedge', report: pictured, pictures })
    expect(pdf.toString('latin1').match(/\/Subtype \/Image/g)).toHaveLength(2)
    const text = await textOf(pdf)
    expect(text).toContain('14 May 2026: the gate')
    expect(text).not.toContain('the pond')
  })

  it('takes each letter from a font that has it, and tells one that none has', () => {
    expect(runsOf('Sedge', 400)).toHaveLength(1)
    expect(runsOf('Ωμέγα Sedge', 400).map(({ font }) => font)).toEqual([
      'noto-sans greek 400',
      'atkinson-hyperlegible-next latin 400',
    ])
    const [run] = runsOf('馬', 400)
    expect(run!.text).not.toBe('馬')
    expect(run!.text).toHaveLength(1)
  })

  it('holds a name of any length and a year of work', async () => {
    const long = { ...report, done: Array.from({ length: 300 }, () => report.done[0]!) }
    const pdf = await reportPdf({
      yardName: 'Y',
      horseName: 'Sedge '.repeat(200),
      report: long,
      pictures: {},
    })
    expect(pdf.length).toBeGreaterThan(20_000)
  })
})

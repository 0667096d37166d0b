import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Line } from '@still-pine/contract'
import { addHorse, answerItem, sendBatch, sessionItem, TestClock } from './making'
import { attachItem, png, sha256 } from './media'
import { FIRST_RUN, freshDatabase, startYard } from './running'

const ROOT = resolve(import.meta.dirname, '../..')
const folder = mkdtempSync(join(tmpdir(), 'still-pine-commands-'))
afterAll(() => rmSync(folder, { recursive: true }))

const ourFiles = join(folder, 'files')

const command = (name: string, args: readonly string[], databaseUrl?: string, files = ourFiles) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`tools/${name}.mjs`, ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: {
      ...process.env,
      INIT_CWD: folder,
      STILL_PINE_FILES: files,
      ...(databaseUrl ? { DATABASE_URL: databaseUrl } : {}),
    },
  })
  return { status, stdout, stderr }
}

const filesUnder = (of: string): string[] =>
  readdirSync(of, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map(({ name }) => name)

const asOwner = async <T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> => {
  const client = new pg.Client(url)
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}

describe('npm run judge', () => {
  const log =
    'horse,step,kind,side,required_rung,all_round,at,rung,grade,calm,by_chance,recalled,uncued,place,moving\n' +
    'Rush,bend,ask,left,3,0,2026-05-01T08:00:00Z,3,1,0,0,0,0,,\n'

  it('prints a JSON array and nothing else', () => {
    writeFileSync(join(folder, 'log.csv'), log)
    const { status, stdout } = command('judge', ['log.csv', '--on', '2026-05-02'])
    expect(status).toBe(0)
    expect(JSON.parse(stdout)).toMatchObject([
      { horse: 'Rush', step: 'bend', side: 'left', daysWorked: 1, answers: 1 },
    ])
  })

  it('prints nothing but the faults of a bad row, and ends with 2', () => {
    writeFileSync(join(folder, 'bad.csv'), log.replace(',3,1,0,0', ',3,9,0,0'))
    const { status, stdout, stderr } = command('judge', ['bad.csv', '--on', '2026-05-02'])
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr).toBe('line 2, column grade: “9”; expected a whole number from 0 to 4\n')
    expect(command('judge', ['log.csv', '--on', '2026-02-30']).status).toBe(2)
    expect(command('judge', ['nowhere.csv', '--on', '2026-05-02']).status).toBe(2)
    expect(command('judge', []).status).toBe(2)
  })
})

describe('npm run reckon', () => {
  it('prints what a rule says, or the first field that is wrong and why', () => {
    const told = command('reckon', ['bodyWeight', '{"girthCm":180,"lengthCm":160,"kind":"adult"}'])
    expect([told.status, told.stderr]).toEqual([0, ''])
    expect((JSON.parse(told.stdout) as { kg: number }).kg).toBeCloseTo(436.4738570346047, 9)
    const wrong = (rule: string, given: string): unknown => {
      const { status, stdout } = command('reckon', [rule, given])
      expect(status).toBe(2)
      return (JSON.parse(stdout) as { error: { field: string } }).error.field
    }
    expect(wrong('hands', '{"hands":"15.5"}')).toBe('hands')
    expect(wrong('circle', '{"lineM":400}')).toBe('lineM')
    expect(wrong('heat', '{"airC":27,"humidityPercent":140}')).toBe('humidityPercent')
    expect(wrong('bodyWeight', '{"girthCm":1800,"lengthCm":160,"kind":"adult"}')).toBe('girthCm')
    expect(wrong('nothing', '{}')).toBe('rule')
    expect(wrong('heat', 'no JSON')).toBe('json')
    expect(wrong('heat', '[]')).toBe('json')
  })
})

describe('a yard’s own database', () => {
  const clock = new TestClock('2026-05-14T12:00:00Z')
  let yard: Awaited<ReturnType<typeof startYard>>
  let horseId: string
  let pictureId: string

  beforeAll(async () => {
    yard = await startYard({ now: clock.now, filesFolder: ourFiles })
    horseId = await addHorse(yard.starter)
    const session = sessionItem(horseId, '2026-05-10T08:00:00Z')
    const answers = ['01', '02', '03'].map((minute) =>
      answerItem(horseId, session.session.id, { at: `2026-05-10T08:${minute}:00Z` }),
    )
    const bytes = png(40)
    const picture = attachItem(horseId, { bytes, recordId: session.session.id })
    await sendBatch(yard.starter, [session, ...answers, picture], clock.iso)
    pictureId = picture.id
    await yard.starter.bytes('PUT', `/attachments/${pictureId}/pieces/0`, { body: bytes })
    await yard.stop()
  })

  it('is rebuilt to what was stored, and a track stored otherwise is named and mended', async () => {
    const sound = command('rebuild', [], yard.ownerUrl)
    expect(sound.stdout).toMatch(/1 tracks of 1 horses worked out again from 3 answers/)
    expect(sound.stdout).toMatch(/Every stored track was as worked out/)
    expect(sound.status).toBe(0)
    await asOwner(yard.ownerUrl, (client) =>
      client.query('update track set log_likelihood = log_likelihood - 1'),
    )
    const bent = command('rebuild', [], yard.ownerUrl)
    expect(bent.stdout).toMatch(/Curlew: stored otherwise, now mended: settle-in-pen\/none/)
    expect(bent.status).toBe(1)
    expect(command('rebuild', [], yard.ownerUrl).status).toBe(0)
  })

  it('is backed up and restored elsewhere, to the same Line and the same pictures', async () => {
    expect(command('backup', ['yard.dump'], yard.ownerUrl).status).toBe(0)
    const elsewhere = await freshDatabase()
    const theirFiles = join(folder, 'elsewhere')
    const restored = command('restore', ['yard.dump'], elsewhere, theirFiles)
    expect([restored.status, restored.stderr]).toEqual([0, ''])
    const again = await startYard({ now: clock.now, ownerUrl: elsewhere, filesFolder: theirFiles })
    await again.starter.post('/sign-in', { email: FIRST_RUN.email, password: FIRST_RUN.password })
    const line = (await again.starter.get<Line>(`/horses/${horseId}/line`)).body
    expect(line.tracks.find(({ step }) => step === 'settle-in-pen')!.view.answers).toBe(3)
    const picture = await again.starter.bytes('GET', `/attachments/${pictureId}/file`)
    expect(sha256(picture.raw)).toBe(sha256(png(40)))
    await again.stop()
  })

  it('is not overwritten by the backup of another yard unless that is said', async () => {
    const other = await startYard({ now: clock.now })
    await addHorse(other.starter, { name: 'Rush' })
    await asOwner(other.ownerUrl, (client) => client.query("update yard set name = 'Elsewhere'"))
    await other.stop()
    const names = () =>
      asOwner(
        other.ownerUrl,
        async (client) => (await client.query('select name from yard')).rows as unknown[],
      )
    const refused = command('restore', ['yard.dump'], other.ownerUrl)
    expect(refused.status).toBe(1)
    expect(refused.stderr).toMatch(
      /This backup is of “Alder Bank”, and here is “Elsewhere”; nothing was changed/,
    )
    expect(await names()).toEqual([{ name: 'Elsewhere' }])
    const theirs = join(folder, 'others')
    mkdirSync(join(theirs, 'yard'), { recursive: true })
    writeFileSync(join(theirs, 'yard/picture'), 'of the yard that goes')
    expect(command('restore', ['yard.dump', '--over'], other.ownerUrl, theirs).status).toBe(0)
    expect(filesUnder(theirs)).toEqual([pictureId])
    expect(await names()).toEqual([{ name: 'Alder Bank' }])
  })

  it('is left as it was by a backup cut short', async () => {
    writeFileSync(join(folder, 'cut.dump'), readFileSync(join(folder, 'yard.dump')).subarray(0, 9_000))
    const { status, stderr } = command('restore', ['cut.dump', '--over'], yard.ownerUrl)
    expect(status).toBe(1)
    expect(stderr).toMatch(/not a whole backup; nothing was changed/)
    expect(command('rebuild', [], yard.ownerUrl).stdout).toMatch(/1 tracks of 1 horses/)
  })

  it('is left as it was by a backup of which one bit of a picture flipped', async () => {
    const backup = readFileSync(join(folder, 'yard.dump'))
    const at = backup.indexOf(png(40))
    backup[at + 50] = backup[at + 50]! ^ 1
    writeFileSync(join(folder, 'flipped.dump'), backup)
    const { status, stderr } = command('restore', ['flipped.dump', '--over'], yard.ownerUrl)
    expect(status).toBe(1)
    expect(stderr).toMatch(new RegExp(`nothing was changed\\.\\nfiles/.*${pictureId} is damaged`))
    expect(filesUnder(ourFiles)).toEqual([pictureId])
  })
})

import { readFile, writeFile } from 'node:fs/promises'
import { enterDemo, expect, test } from './fixtures'
import { startProduct } from './product'

test.describe.configure({ timeout: 180_000 })

test('a passport goes out of one yard and into another, where the horse arrives', async ({
  page,
  browser,
  demo,
}, testInfo) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Bittern}/passport`)
  await expect(page.getByRole('status').filter({ hasText: /^\d+ of 12 hold: Not yet\.$/ })).toBeVisible()
  await expect(page.getByText(/^Signed: .*Still Pine/)).toBeVisible()
  const pdf = await page.request.get(`${demo.url}/api/v1/out/passport.pdf?horseId=${id.Bittern}`)
  expect(pdf.headers()['content-type']).toContain('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a file for another yard' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('bittern-passport.json')
  const file = testInfo.outputPath('passport.json')
  await download.saveAs(file)
  const passport = JSON.parse(await readFile(file, 'utf8')) as { promised: object[] }
  passport.promised.push({ ...passport.promised[0], step: 'spin', name: 'Spin' })
  await writeFile(file, JSON.stringify(passport))

  const yard = await startProduct({ demo: false })
  const other = await browser.newPage()
  await other.request.post(`${yard.url}/api/v1/first-run`, {
    headers: { origin: yard.url },
    data: {
      yardName: 'Alder Bank',
      timeZone: 'Europe/Oslo',
      personName: 'Runa Vik',
      email: 'runa@example.org',
      password: 'a long enough one',
    },
  })
  await other.goto(`${yard.url}/horses/new`)
  const field = other.getByLabel('It came with a passport')
  await field.setInputFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from('{"a":1}') })
  await expect(other.getByText('This is no passport of a horse.')).toBeVisible()
  await field.setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer: Buffer.from('not JSON') })
  await expect(other.getByText(/^This is no passport: it is not JSON/)).toBeVisible()
  await field.setInputFiles(file)
  await expect(other.getByText(/Nobody here knows these steps: Spin\./)).toBeVisible()
  await expect(other.getByLabel('Name')).toHaveValue('Bittern')
  await other.getByRole('button', { name: 'Add this horse' }).click()
  // What it knows is asked anew: it goes to its arrival check, and every step is New until then.
  await other.waitForURL(/\/horses\/[^/]+\/arrival$/)
  const horseId = /horses\/([^/]+)/.exec(other.url())![1]!
  await other.goto(`${yard.url}/horses/${horseId}/cues`)
  await expect(other.getByText('whoa', { exact: true })).toBeVisible()
  const line = await (await other.request.get(`${yard.url}/api/v1/horses/${horseId}/line`)).json()
  const { tracks, horse } = line as {
    tracks: { view: { answers: number } }[]
    horse: { origin: string; handled: boolean }
  }
  expect(tracks.every(({ view }) => view.answers === 0)).toBe(true)
  expect(horse.handled).toBe(true)
  expect(horse.origin).toMatch(/^From Still Pine, handed over by /)
  await other.close()
  await yard.stop()
})

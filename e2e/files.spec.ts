import { readFileSync } from 'node:fs'
import { enterDemo, expect, test } from './fixtures'
import { startProduct } from './product'

const FROM_ELSEWHERE = [
  'Date;Horse name;Exercise;Side;Level;Score;Tension;Rider',
  '14.04.2026 09:10;Yarrow;Face up;;2;light;loose;Runa',
  '14.04.2026 09:12;Yarrow;Front foot;near;2;noticed;watchful;Runa',
  '15.04.2026;Yarrow;Front foot;off;3;tightened;tight;Runa',
]

test('a log from elsewhere is mapped, looked at, and brought in whole', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/files`)
  await page.getByRole('link', { name: 'Import a log or a yard' }).click()
  const choose = (name: string, lines: readonly string[]): Promise<void> =>
    page
      .getByLabel('File')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(lines.join('\r\n')) })
  await choose('book.csv', [...FROM_ELSEWHERE, '16.04.2026;Rex;Face up;;2;1;;Runa'])
  await expect(page.getByText('3 answers in 2 sessions can be read; 1 line cannot.')).toBeVisible()
  await expect(page.getByText('line 5, column Horse name: “Rex”', { exact: false })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Import 3 answers/ })).toBeDisabled()
  await choose('book2.csv', FROM_ELSEWHERE)
  await expect(page.getByText('3 answers in 2 sessions can be read; 0 lines cannot.')).toBeVisible()
  await page.getByRole('button', { name: /^Import 3 answers/ }).click()
  await expect(page.getByText('Brought in: 3 answers of 1 horse.', { exact: false })).toBeVisible()
  await choose('ambiguous.csv', [FROM_ELSEWHERE[0]!, '03.04.2026;Yarrow;Face up;;2;1;;'])
  await expect(page.getByText('These days can be read in more than one way: say which.')).toBeVisible()
  await page.getByLabel('Days are written').selectOption('month-first')
  await expect(page.getByText('4 Mar 2026', { exact: false })).toBeVisible()
})

test('a yard goes out of one server and into another, and out again the same', async ({ page, demo }) => {
  test.setTimeout(300_000)
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/files`)
  const saved = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Export the whole yard, with its pictures (ZIP)' }).click()
  const file = readFileSync(await (await saved).path())
  const before = await page.request.get(`${demo.url}/api/v1/out/yard.json`)
  const empty = await startProduct({ demo: false })
  try {
    const person = { yardName: 'Empty', timeZone: 'UTC', personName: 'Runa Vik', email: 'runa@example.org' }
    const data = { ...person, password: 'a long enough one' }
    await page.request.post(`${empty.url}/api/v1/first-run`, { data })
    await page.goto(`${empty.url}/yard/in`)
    await page
      .getByLabel('File')
      .setInputFiles({ name: 'yard.zip', mimeType: 'application/zip', buffer: file })
    await page.getByRole('button', { name: 'Import the yard' }).click()
    await expect(page.getByText(/^Brought in: [\d,]+ answers of \d+ horses/)).toBeVisible({
      timeout: 200_000,
    })
    const again = await page.request.get(`${empty.url}/api/v1/out/yard.json`)
    expect((await again.body()).equals(await before.body())).toBe(true)
  } finally {
    await empty.stop()
  }
})

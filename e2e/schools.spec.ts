import AxeBuilder from '@axe-core/playwright'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { moveByKeys, enterDemo, expect, PHONE, test } from './fixtures'
import type { Product } from './product'

/** Copies a school under a name and opens its editor. */
const copyAs = async (page: Page, demo: Product, name: string): Promise<void> => {
  await page.goto(`${demo.url}/yard/schools`)
  await page.getByLabel('and call it').fill(name)
  await page.getByRole('button', { name: 'Copy and change it' }).click()
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
}

const editorOf = (
  demo: Product,
  school: string,
  { part, step = '' }: { part: string; step?: string },
): string => `${demo.url}/yard/schools/${school}/edit?part=${part}${step ? `&step=${step}` : ''}`

test('a school is copied, bent, looked at, saved, and a horse is moved over and back', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await copyAs(page, demo, 'Lake way')
  await page.goto(editorOf(demo, 'lake-way', { part: 'steps', step: 'bend' }))
  // A rung in, by keys to its place; one out; another required.
  await page.getByLabel('Words of a new rung').fill('an inch of the nose')
  await page.getByLabel('Words of a new rung').press('Enter')
  const handle = page.getByRole('button', { name: /^Move rung 5, an inch of the nose/ })
  await handle.focus()
  await moveByKeys(page, ['ArrowUp', 'ArrowUp', 'ArrowUp', 'ArrowUp'])
  await expect(page.getByLabel('Words of rung 1')).toHaveValue('an inch of the nose')
  await page.getByRole('button', { name: 'Remove rung 3, halfway' }).click()
  await expect(page.getByText(/answers given on “halfway” count as the rung below it/)).toBeVisible()
  // A need is found by a few letters, and what would make a circle is refused with the reason.
  const needs = page.getByRole('heading', { name: 'Needs first' }).locator('..')
  await needs.getByRole('button', { name: 'Add one' }).click()
  await page.getByPlaceholder('A step, or one way of several').fill('zzzz')
  await expect(page.getByText('Nothing by that name on this path.')).toBeVisible()
  await page.getByPlaceholder('A step, or one way of several').fill('bit')
  await page.getByRole('option', { name: /^Give to the bit/ }).click()
  await page.getByRole('button', { name: /\(required\)/ }).click()
  await expect(page.getByText(/These wait for each other/)).toBeVisible()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  // The law and the vet stay; the pace moves by keys; the graph tells the change.
  await page.goto(editorOf(demo, 'lake-way', { part: 'gates' }))
  await page.getByText('First bit', { exact: false }).first().click()
  await expect(page.getByRole('checkbox', { name: /looked at the mouth/ }).first()).toBeDisabled()
  await page.goto(editorOf(demo, 'lake-way', { part: 'pace' }))
  await page.getByRole('slider', { name: /“light” ends/ }).press('Shift+ArrowRight')
  await expect(page.getByText('light to 5 s', { exact: false })).toBeVisible()
  await page.goto(editorOf(demo, 'lake-way', { part: 'needs', step: 'bend' }))
  await expect(page.getByRole('button', { name: 'Bend', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.reload()
  await page.getByRole('button', { name: /Save as version 2/ }).click()
  await expect(page.getByText(/“halfway” is gone/)).toBeVisible()

  await page.getByLabel('Work another horse by it').selectOption({ label: 'Snipe, Feet First' })
  await expect(page.getByText(/Every answer stays/)).toBeVisible()
  await expect(page.getByText(/“an inch of the nose” is new/)).toBeVisible()
  await page.getByRole('button', { name: 'Move Snipe over' }).click()
  await expect(page.getByText(/Snipe is worked by Lake way now/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/Snipe is worked by Feet First now/)).toBeVisible()
  await page.goto(`${demo.url}/horses/${id.Snipe}/steps`)
  await expect(page.getByLabel('School', { exact: true })).toHaveValue('feet-first')
})

test('a made-up horse is worked through a school before and after a change', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await copyAs(page, demo, 'Later way')
  await page.goto(editorOf(demo, 'later-way', { part: 'steps', step: 'halter-on' }))
  await page.getByLabel('Name', { exact: true }).fill('Halter on, off and on')
  await page.getByLabel('Name', { exact: true }).press('Enter')
  await page.goto(editorOf(demo, 'later-way', { part: 'calendar' }))
  await expect(page.getByText(/work day \d+/).first()).toBeVisible()
  await expect(page.getByText('The change moves no gate of a made-up horse.')).toBeVisible({
    timeout: 120_000,
  })
  await expect(page.getByRole('row', { name: /^Halter \d+ \d+ the same/ })).toBeVisible()
})

test('two who change one school see both, and lose nothing', async ({ page, demo, browser }) => {
  await enterDemo(page, demo)
  await copyAs(page, demo, 'Shared way')
  const other = await browser.newContext()
  const theirs = await other.newPage()
  await enterDemo(theirs, demo)
  const url = editorOf(demo, 'shared-way', { part: 'steps', step: 'poles' })
  for (const one of [page, theirs]) await one.goto(url)
  await theirs.getByLabel('Name', { exact: true }).fill('Poles on the ground')
  await theirs.getByLabel('Name', { exact: true }).press('Enter')
  await theirs.getByRole('button', { name: /Save as version 2/ }).click()
  await expect(theirs.getByText(/Version 2 is kept/)).toBeVisible()
  await page.getByLabel('Words of rung 1').fill('one pole, flat')
  await page.getByLabel('Words of rung 1').blur()
  await page.getByRole('button', { name: /Save as version 2/ }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByText('is called Poles on the ground now')).toBeVisible()
  await expect(sheet.getByText(/rungs in new words: “one pole, flat”/)).toBeVisible()
  await sheet.getByRole('button', { name: 'Put mine on top of theirs' }).click()
  await page.getByRole('button', { name: /Save as version 3/ }).click()
  await expect(page.getByText(/rungs in new words: “one pole, flat”/)).toBeVisible()
  await other.close()
})

test('a school goes out as a file and comes in again; a broken one names its line', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  await copyAs(page, demo, 'File way')
  await page.goto(`${demo.url}/yard/schools/file-way`)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Take it out (JSON)' }).click()
  const text = await readFile(await (await download).path(), 'utf8')
  await page.goto(`${demo.url}/yard/schools`)
  const bring = (body: string) =>
    page
      .getByLabel('Import a school')
      .setInputFiles({ name: 'school.json', mimeType: 'application/json', buffer: Buffer.from(body) })
  await bring(text.replace('"stage": 1,', '"stage": 11,'))
  const line = text.split('\n').findIndex((one) => one.includes('"stage": 1,')) + 1
  await expect(page.getByText(`Line ${line}`)).toBeVisible()
  await expect(page.getByText('program.steps.0.stage')).toBeVisible()
  await bring(text)
  await page.getByRole('button', { name: 'Bring it in as a new school' }).click()
  await expect(page).toHaveURL(/\/yard\/schools\/file-way-2$/)
})

test.describe('on a phone', () => {
  test.use(PHONE)

  test('the editor goes from the path to a step and back, and no page is wider than the phone', async ({
    page,
    demo,
  }) => {
    await enterDemo(page, demo)
    await copyAs(page, demo, 'Pocket way')
    await page.getByRole('button', { name: 'Bend', exact: true }).tap()
    await expect(page.getByLabel('Words of rung 1')).toBeVisible()
    await page.getByRole('button', { name: 'Back to the path' }).tap()
    await expect(page.getByRole('button', { name: 'Bend', exact: true })).toBeVisible()
    for (const part of ['steps&step=bend', 'gates', 'pace', 'needs', 'calendar']) {
      await page.goto(editorOf(demo, 'pocket-way', { part }))
      await page.getByRole('navigation', { name: 'Parts of the school' }).waitFor()
      const wide = await page.evaluate(() => document.documentElement.scrollWidth)
      expect([part, wide <= 390]).toEqual([part, true])
      const { violations } = await new AxeBuilder({ page }).analyze()
      expect([part, violations.map(({ id, nodes }) => [id, nodes[0]?.html])]).toEqual([part, []])
    }
  })
})

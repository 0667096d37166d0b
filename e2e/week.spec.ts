import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import ICAL from 'ical.js'
import { addHorse, enterDemo, expect, press, test } from './fixtures'

const tags = (page: Page) => page.locator('[aria-roledescription="visit"]')
const solved = (page: Page) =>
  expect(page.getByText(/No better week exists|short of the best/).first()).toBeVisible({ timeout: 90_000 })

/** Every visit on the board: whose, on which day, when. */
const board = (page: Page): Promise<string[]> =>
  page
    .locator('tbody td')
    .evaluateAll((cells) =>
      cells.flatMap((cell, i) =>
        [...cell.querySelectorAll('[aria-roledescription="visit"]')].map(
          (tag) => `${i % 7} ${(tag as HTMLElement).innerText.split('\n').slice(0, 2).join(' ')}`,
        ),
      ),
    )

test('a week of twelve horses is planned, moved by keys, undone, printed and fed to a calendar', async ({
  page,
  browser,
  demo,
}) => {
  test.setTimeout(300_000)
  await enterDemo(page, demo)
  await addHorse(page, demo, { name: 'Ruff', more: { born: '2022-04-01' } })
  await addHorse(page, demo, { name: 'Godwit', more: { born: '2021-04-01' } })
  await page.goto(`${demo.url}/week`)
  await page.getByRole('button', { name: 'Week after' }).click()
  await expect(page.getByRole('button', { name: 'This week', exact: true })).toBeVisible()
  await expect(page.getByText('Nothing is planned yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Plan this week' }).click()
  await expect(page.getByText(/Looking at the horses/)).toBeVisible()
  await solved(page)
  const planned = await board(page)
  expect(planned.length).toBeGreaterThan(20)
  // The farrier comes on Wednesday morning alone.
  await expect(page.getByRole('rowheader', { name: 'Skarv Ness' })).toBeVisible()

  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map(({ id }) => id)).toEqual([])
  // On a phone one day at a time, as wide as the phone.
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: /^Tue/ }).click()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1280, height: 800 })

  // Why it stands there; then a day later by the keys: it is pinned, and the rest is planned around it.
  const first = tags(page).first()
  await first.click()
  await expect(page.getByRole('heading', { name: 'Why here' })).toBeVisible()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await first.focus()
  await press(page, 'Enter')
  await expect(first).toHaveAttribute('aria-pressed', 'true')
  await press(page, 'ArrowRight')
  await expect(first).toContainText('1 day later')
  await press(page, 'Enter')
  await expect(page.getByLabel('pinned').or(page.getByText('cannot be had')).first()).toBeVisible({
    timeout: 90_000,
  })
  await solved(page)
  await expect(page.getByText(/Looking for/)).toBeHidden({ timeout: 90_000 })
  expect(await board(page)).not.toEqual(planned)
  await press(page, 'z')
  await expect(async () => expect(await board(page)).toEqual(planned)).toPass({ timeout: 20_000 })
  await page.reload()
  await expect(async () => expect(await board(page)).toEqual(planned)).toPass({ timeout: 20_000 })

  // Somebody else changes the same week: whoever comes later is told, and loses nothing.
  const other = await (await browser.newContext()).newPage()
  await enterDemo(other, demo)
  await other.goto(page.url())
  await tags(other).first().waitFor()
  await tags(page).nth(3).focus()
  await press(page, 'p')
  await expect(page.getByLabel('pinned')).toBeVisible({ timeout: 90_000 })
  await expect(page.getByText('all saved')).toBeVisible()

  // On paper: a sheet for each person.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: /Ylva Tarn: the week of/ })).toBeVisible()
  await expect(page.getByRole('heading', { name: /Skarv Ness: the week of/ })).toBeVisible()
  await page.emulateMedia({ media: 'screen' })

  // An address for a calendar, shown once, which another reader of calendars reads.
  await page.getByRole('link', { name: 'Hours, horses and rules' }).click()
  await page.getByRole('button', { name: 'Change Ylva Tarn' }).click()
  await page.getByRole('button', { name: 'Make an address' }).click()
  const address = await page.getByLabel(/Add this to a calendar/).inputValue()
  const reply = await page.request.get(address)
  const events = new ICAL.Component(ICAL.parse(await reply.text()) as [string, unknown[], unknown[]])
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))
    .filter((event) => !event.startDate.isDate)
  const herRow = page.getByRole('dialog')
  await herRow.getByRole('button', { name: 'Close', exact: true }).click()
  expect(events.length).toBeGreaterThan(5)
  expect(events.map(({ summary }) => summary)).toContainEqual(expect.stringMatching(/: ground, \d+ min/))
})

test('busy times of a calendar file are read, and what is no calendar is said', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/week/from`)
  await page.getByRole('button', { name: 'Change Orm Fjell' }).click()
  const file = page.getByLabel('A calendar file (.ics)')
  const give = (text: string) =>
    file.setInputFiles({ name: 'busy.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) })
  await give('not a calendar')
  await expect(page.getByText('This is not an iCalendar file: nothing of it was kept.')).toBeVisible()
  const day = new Date().toISOString().slice(0, 10).replaceAll('-', '')
  await give(
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//a//b//EN',
      'BEGIN:VEVENT',
      'UID:1',
      `DTSTAMP:${day}T000000Z`,
      `DTSTART:${day}T130000`,
      `DTEND:${day}T150000`,
      'RRULE:FREQ=DAILY',
      'SUMMARY:Never shown',
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n'),
  )
  // Without an end it is read eight weeks ahead, and no further.
  await expect(page.getByText(/5[67] busy times kept/)).toBeVisible()
  await give('x'.repeat(5_000_001))
  await expect(page.getByText('It is over 5 MB: nothing of it was kept.')).toBeVisible()
})

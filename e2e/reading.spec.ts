import type { Page } from '@playwright/test'
import { addHorse, enterDemo, expect, PHONE, test, press, wait } from './fixtures'
import { keepDays } from './kept-days'

const region = (page: Page, heading: string) =>
  page.locator('section').filter({ has: page.getByRole('heading', { name: heading }) })

test('a horse is read: where its answers stand, what moved, what was left out', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Sedge}`)
  await page.getByRole('link', { name: 'How it goes' }).click()
  await expect(page.getByRole('img', { name: /Each track by answer and calm/ })).toBeVisible()
  await expect(page.getByText(/^Of \d+ skills with answers enough: \d+ soft/)).toBeVisible()
  // Each corner that holds anything says what to do there.
  await expect(page.getByText(/^Soft, \d+ skills?$/)).toBeVisible()
  await expect(
    page.getByText('Leave it good: go on to the next rung, another place, or moving.'),
  ).toBeVisible()
  await expect(
    page.getByText(/^Over \d+ steps asked enough on both sides the right is \d+ points behind/),
  ).toBeVisible()
  await expect(region(page, 'Moved in the last 7 days').getByRole('listitem').first()).toContainText('%')
  await expect(page.getByRole('table', { name: 'Minutes, by the kind of work' })).toContainText('asking')
  await expect(page.getByText(/^It starts steps .* learns .*From \d+ answers\.$/)).toBeVisible({
    timeout: 60_000,
  })
  await page.getByText('When it was otherwise').click()
  await expect(page.getByText(/first asks? light .* in \d+ sessions/).first()).toBeVisible()
  // A track leads to its step.
  await region(page, 'Moved in the last 7 days').getByRole('link').first().click()
  await expect(page).toHaveURL(/\/steps\//)
})

test('the yard is read: nearest gates with what holds them, and its own gaps by handler', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard`)
  await page.getByRole('link', { name: 'Reports' }).click()
  const sedge = page.getByRole('row', { name: /^Sedge/ })
  await expect(sedge).toContainText('First weight')
  await expect(sedge).toContainText(/since .*\(\d+ days, \d+ work days?\)/)
  await expect(page.getByText(/\d+ of \d+ horses worked long enough are not there/).first()).toBeVisible()
  await expect(page.getByText(/^Ylva Tarn: \d+ of \d+ first asks light/).first()).toBeVisible()
  await expect(page.getByText(/^Orm Fjell: \d+ of \d+ first asks light/).first()).toBeVisible()
})

test('how well we judge is told by stage and handler, and what each horse is like', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/judging`)
  const sentence = page.locator('figcaption')
  await expect(sentence).toContainText(/^Of \d+ first asks \d+ % were light/)
  const all = await sentence.textContent()
  await page.getByLabel('The chance of').selectOption('an answer that is not tight')
  await expect(sentence).toContainText(/^Of \d+ first asks \d+ % were not tight/)
  await page.getByLabel('The chance of').selectOption('a light answer')
  await expect(sentence).toHaveText(all!)
  await page.getByLabel('By handler').selectOption('Orm Fjell')
  await expect(sentence).not.toHaveText(all!)
  await page.getByLabel('By stage').selectOption({ label: '8 First rides' })
  await expect(sentence).toContainText('under 50 they say little')
  await expect(page.getByRole('heading', { name: 'What your own log says' })).toBeVisible()
  await expect(page.getByText('It has not spoken yet: horses are judged as we assume.')).toBeVisible()
  await expect(page.getByText(/^It starts steps .* learns .*From \d+ answers\.$/).first()).toBeVisible({
    timeout: 60_000,
  })
})

test('how a session was is kept with it, and tells its answers apart', async ({ page, demo }) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Crake' })
  await page.goto(`${demo.url}/before/${horse}`)
  await page.getByLabel('Weather').selectOption('wind')
  await page.getByText('More of today').click()
  await page.getByLabel('People watching').selectOption('few')
  await page.getByLabel('Kit as fitted').fill('Neck rope')
  await page.getByLabel('Kit as fitted').blur()
  await page.getByRole('link', { name: /Take Crake to the pen/ }).click()
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await page.keyboard.press('l')
  await expect(page.getByText(/all saved/)).toBeVisible({ timeout: 30_000 })

  await page.goto(`${demo.url}/after/${horse}`)
  await expect(page.getByText('People watching: one to three; Weather: wind; Kit: Neck rope')).toBeVisible()
  await page.getByText('Note how it was').click()
  await page.getByLabel('Handler').selectOption('tired')
  await expect(page.getByText(/Handler: tired or unwell/)).toBeVisible()
  await expect
    .poll(async () => {
      const reply = await page.request.get(`${demo.url}/api/v1/sessions?horseId=${horse}`)
      const { sessions } = (await reply.json()) as { sessions: object[] }
      return sessions[0]
    })
    .toMatchObject({
      circumstances: { weather: 'wind', watching: 'few', kit: 'Neck rope', handler: 'tired', turnout: null },
      // What the plan set out with goes with it.
      promised: expect.arrayContaining([expect.objectContaining({ step: 'settle-in-pen', side: 'none' })]),
    })
  // The next horse of the day begins with who watched, and not with the kit of this one.
  const next = await addHorse(page, demo, { name: 'Dabchick' })
  await page.goto(`${demo.url}/before/${next}`)
  await page.getByText('More of today').click()
  await expect(page.getByLabel('People watching')).toHaveValue('few')
  await expect(page.getByLabel('Kit as fitted')).toHaveValue('')
})

test('a step is read by what was noted, with the gap of its sides', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Sedge}/steps/yield-hind`)
  await expect(page.getByRole('img', { name: /Left against right of Hind yield/ })).toBeVisible()
  await expect(page.getByText(/^The right is \d+ points? behind/).first()).toBeVisible()
  const lightness = page.getByRole('img', { name: /Lightness of Hind yield/ })
  const all = await lightness.getAttribute('aria-label')
  const choices = page.getByLabel('Only answers given when')
  await page.getByText('When it was otherwise').click()
  await choices.selectOption({ label: 'Weather: wind' })
  await expect(lightness).not.toHaveAttribute('aria-label', all!)
})

test('a horse with no history, and one with nothing but recalled answers, has a sentence', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  const untouched = await addHorse(page, demo, { name: 'Eider' })
  await page.goto(`${demo.url}/horses/${untouched}/reading`)
  await expect(page.getByText(/^No skill has eight answers on two days yet/)).toBeVisible()
  await expect(page.getByText('What it is like is not known: nothing was asked yet.')).toBeVisible()
  await expect(page.getByText('No first ask has been predicted yet.')).toBeVisible()

  const recalled = await addHorse(page, demo, { name: 'Fulmar' })
  const five = Array.from({ length: 5 }, () => ({
    step: 'settle-in-pen',
    rung: 4,
    recalled: true,
    calm: null,
  }))
  await keepDays(page, demo, { horseId: recalled, days: [five, five, five] })
  await page.goto(`${demo.url}/horses/${recalled}/reading`)
  await expect(page.getByText(/^Of 1 skill with answers enough/)).toBeVisible()
  await expect(page.getByText(/^Of 3 first asks/)).toBeVisible()
  await page.goto(`${demo.url}/horses/${recalled}/steps/settle-in-pen`)
  await expect(page.getByRole('img', { name: /Lightness of / })).toBeVisible()
  await expect(page.getByRole('img', { name: /Chance of a light first ask/ })).toBeVisible()
})

test('twenty thousand answers are read in the end', async ({ page, demo }) => {
  test.setTimeout(300_000)
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Gadwall' })
  const steps = ['settle-in-pen', 'face-up', 'step-back', 'lead-up']
  const days = Array.from({ length: 200 }, (_, day) =>
    Array.from({ length: 100 }, (_, n) => ({
      step: steps[n % steps.length]!,
      rung: 1 + (n % 3),
      grade: (day + n) % 7 === 0 ? 3 : 1,
    })),
  )
  await keepDays(page, demo, { horseId: horse, days })
  await page.goto(`${demo.url}/horses/${horse}/reading`)
  await expect(page.getByText(/^Of 4 skills with answers enough/)).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(/^Of 800 first asks/)).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/It starts steps .* From 20000 answers/)).toBeVisible({
    timeout: 120_000,
  })
  await page.goto(`${demo.url}/horses/${horse}/steps/step-back`)
  await expect(page.getByRole('img', { name: /Lightness of Step back/ })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('img', { name: /Chance of a light first ask/ })).toBeVisible({
    timeout: 60_000,
  })
})

test.describe('on a phone', () => {
  test.use(PHONE)

  test('the yard and a horse are read without anything off the side', async ({ page, demo }) => {
    const id = await enterDemo(page, demo)
    for (const path of ['/yard/reading', '/yard/judging', `/horses/${id.Bramble}/reading`]) {
      await page.goto(`${demo.url}${path}`)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await expect(page.locator('table').first()).toBeAttached({ timeout: 30_000 })
      if (path === '/yard/judging') await page.getByText(/^Details: /).click()
      await expect(page.locator('table').first()).toBeVisible()
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect([path, over]).toEqual([path, 0])
    }
  })
})

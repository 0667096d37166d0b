import { enterDemo, expect, PHONE, test } from './fixtures'
import { settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })
test.describe.configure({ timeout: 300_000 })

test.describe('on a phone without signal', () => {
  test.use(PHONE)

  test('cues, things, care, riders, heat and a repair are told, kept here, and sent later', async ({
    page,
    context,
    demo,
  }) => {
    const id = await settledIn(page, demo)
    await context.setOffline(true)
    const add = (what: string) => page.getByRole('button', { name: `Add ${what}` }).tap()

    await page.goto(`${demo.url}/horses/${id.Snipe}/cues`)
    for (const [meaning, where] of [
      ['back', 'ground'],
      ['over', 'both'],
    ] as const) {
      await add('a cue')
      await page.getByLabel('It means').fill(meaning)
      await page.getByLabel('Where it feels it').fill(meaning === 'back' ? 'Chest' : ' chest ')
      await page.getByLabel('Asked').selectOption(where)
      await page.getByRole('button', { name: 'Keep this cue' }).tap()
      await expect(page.getByText(meaning, { exact: true })).toBeVisible()
    }
    // The same place, rhythm and channel, whatever the spaces: two meanings of one signal.
    await expect(page.getByText(/means “back” and “over”: one signal, two meanings/)).toBeVisible()
    await expect(page.getByText(/No ridden twin yet for “back”/)).toBeVisible()
    await add('a cue')
    await page.getByRole('button', { name: 'Keep this cue' }).tap()
    await expect(page.getByText('Please write it down.').first()).toBeVisible()
    await page.getByLabel('It means').fill('Back ')
    await page.getByLabel('Where it feels it').fill('chest')
    await page.getByRole('button', { name: 'Keep this cue' }).tap()
    await expect(page.getByText('This cue stands in the book already.')).toBeVisible()
    await page.getByRole('button', { name: 'Close' }).tap()

    await page.goto(`${demo.url}/horses/${id.Snipe}/things`)
    await add('a showing')
    await page.getByLabel('Thing').fill('Tarp')
    await page.getByLabel('Side').selectOption('left')
    await page.getByRole('button', { name: 'It did not' }).tap()
    await expect(page.getByText(/today, from the left only.*not finished/)).toBeVisible()
    await expect(page.getByText(/^1 new thing, 0 went well/)).toBeVisible()

    await page.goto(`${demo.url}/horses/${id.Snipe}/care`)
    await add('a time')
    await page.getByLabel('What was done').selectOption('vaccination')
    await page.getByRole('button', { name: 'Keep it' }).tap()
    await expect(page.getByText('The vet says in how many days.')).toBeVisible()
    await page.getByLabel('Again from day').fill('28')
    await page.getByLabel('By day').fill('35')
    await page.getByRole('button', { name: 'Keep it' }).tap()
    await expect(page.getByText(/again after 28 to 35 days/)).toBeVisible()

    await page.goto(`${demo.url}/horses/${id.Snipe}/body`)
    await add('a rider')
    await page.getByLabel('Rider, kg').fill('95')
    await page.getByLabel('Saddle and all, kg').fill('12')
    await page.getByRole('button', { name: 'Keep this rider' }).tap()
    await expect(page.getByText(/95 kg and 12 kg of tack: .*too heavy for it/)).toBeVisible()

    await page.goto(`${demo.url}/before/${id.Snipe}`)
    await page.getByRole('button', { name: 'Hot today? Say how hot' }).tap()
    await page.getByLabel('Air, °C').fill('37,8')
    await page.getByLabel('Humidity, %').fill('140')
    await page.getByRole('button', { name: /^Keep it for the whole yard/ }).tap()
    await expect(page.getByText('From 0 to 100 %.')).toBeVisible()
    await page.getByLabel('Humidity, %').fill('20')
    await page.getByRole('button', { name: /^Keep it for the whole yard/ }).tap()
    await expect(page.getByText(/37.8 °C, 20 %: WBGT 31 °C in the sun, hot: walk only/)).toBeVisible()
    // Said at one horse, true for the yard.
    await page.goto(`${demo.url}/before/${id.Sedge}`)
    await expect(page.getByText(/hot: walk only/)).toBeVisible()

    await context.setOffline(false)
    const kindsKept = async (): Promise<string[]> => {
      const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Snipe}/entries`)
      const { entries } = (await reply.json()) as { entries: { kind: string; ofYard: boolean }[] }
      return entries.filter(({ kind, ofYard }) => !ofYard || kind === 'heat').map(({ kind }) => kind)
    }
    await expect
      .poll(async () => (await kindsKept()).sort(), { timeout: 60_000 })
      .toEqual(['care', 'cue', 'cue', 'heat', 'rider', 'thing'])
  })
})

test('a repair is tried in the pen, and the next three asks tell how it went', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Sedge}?step=yield-shoulder`)
  const ask = async (): Promise<void> => {
    await page.waitForTimeout(350)
    await page.keyboard.press('Space')
    await page.waitForTimeout(700)
    await page.keyboard.press('Space')
    await page.keyboard.press('w')
  }
  await page.getByRole('button', { name: /^Ask/ }).waitFor()
  await ask()
  await page.getByRole('button', { name: 'More', exact: false }).first().click()
  await page
    .getByRole('button', { name: /: try this repair$/ })
    .first()
    .click()
  for (let i = 0; i < 3; i++) await ask()
  const howItWent = async (): Promise<unknown> => {
    const reply = await page.request.get(`${demo.url}/api/v1/horses/${id.Sedge}/entries`)
    const { entries } = (await reply.json()) as { entries: { kind: string; worked?: boolean | null }[] }
    return entries.find(({ kind }) => kind === 'repair')?.worked
  }
  await expect.poll(howItWent, { timeout: 20_000 }).toBe(true)
  await page.goto(`${demo.url}/horses/${id.Sedge}/steps/yield-shoulder`)
  await page.getByText('Repairs: 1 tried').click()
  await expect(page.getByText(/gone 1 of 1 time after/)).toBeVisible()
  await expect(page.getByText(/nothing to compare it with/)).toBeVisible()
})

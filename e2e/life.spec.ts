import AxeBuilder from '@axe-core/playwright'
import { addHorse, enterDemo, expect, PHONE, test, press, wait } from './fixtures'

test.describe('on a phone', () => {
  test.use(PHONE)

  test('an arrival check goes up the path in the pen by itself, and what it showed opens steps', async ({
    page,
    demo,
  }) => {
    await enterDemo(page, demo)
    const id = await addHorse(page, demo, { name: 'Angelica', more: { handled: true } })
    await page.goto(`${demo.url}/horses/${id}/arrival`)
    await expect(page.getByText(/How old is it\?/)).toBeVisible()
    await page.getByRole('button', { name: 'Begin in the pen' }).tap()
    await expect(
      page.getByText('The bottom of the path: whatever it knows is shown on the way up'),
    ).toBeVisible()
    const step = page.getByRole('combobox').first()
    await expect(step).toHaveValue('settle-in-pen')
    /** The calm is told with one press, and the next ask comes up by itself. */
    const answer = async (seconds: number, calm: string): Promise<void> => {
      await press(page, 'Space')
      await wait(page, seconds * 1000 - 300)
      await press(page, 'Space')
      await page.keyboard.press(calm)
    }
    await answer(0.6, 't')
    await expect(page.getByText(/Once more, a little smaller/)).toBeVisible()
    await answer(0.6, 'l')
    await expect(step).not.toHaveValue('settle-in-pen')
    await expect(
      page
        .getByText(/all saved/)
        .or(page.getByText(/waiting/))
        .first(),
    ).toBeAttached()
    await page.getByRole('link', { name: 'Result' }).first().tap()
    await expect(page.getByText(/2 asks so far today/)).toBeVisible()
    await page.getByRole('button', { name: 'Keep what it showed' }).tap()
    await expect(page.getByRole('heading', { name: 'How Angelica arrived' })).toBeVisible()
    await expect(page.getByText('Settle in the pen', { exact: true }).first()).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Open for work now' })).toBeVisible()
  })
})

test('a block is closed and frozen, the next begins from a re-check, and a rest keeps the horse off work', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Bittern}/blocks`)
  await expect(page.getByRole('listitem').filter({ hasText: 'Rest' }).first()).toBeVisible()
  await page.getByRole('link', { name: 'How it stood when it was closed' }).last().click()
  await expect(page.getByText('Plastic that flaps behind her.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'To keep checking, weakest first' })).toBeVisible()
  await page.getByRole('link', { name: 'Re-check from this' }).click()
  await expect(page.getByText(/tell what the break has spoilt/)).toBeVisible()

  const horse = await addHorse(page, demo, { name: 'Meadowsweet' })
  await page.goto(`${demo.url}/horses/${horse}/blocks`)
  await page.getByRole('button', { name: 'Open it', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^Starting, 0 calendar days so far/ })).toBeVisible()
  await page.getByLabel('What reward works').fill('a scratch at the wither')
  await page.getByRole('button', { name: 'Close it and freeze' }).click()
  await page.getByRole('link', { name: 'How it stood when it was closed' }).click()
  await expect(page.getByText('Nothing had been asked of Meadowsweet by then.')).toBeVisible()
  await expect(page.getByText('a scratch at the wither')).toBeVisible()
  await page.goBack()
  await page.getByLabel('What it is').selectOption('rest')
  await page.getByRole('button', { name: 'Open it', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^Rest, 0 calendar days/ })).toBeVisible()
  await page.goto(`${demo.url}/before/${horse}`)
  await expect(page.getByText(/Rests: off work since/).first()).toBeVisible()
})

test('a person signs in, a place is chosen, and the record tells where a step was proved', async ({
  page,
  demo,
  browser,
}) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/people`)
  await page.getByRole('button', { name: 'Add a person' }).click()
  await page.getByLabel('Name').fill('Odd Myr')
  await page.getByLabel('E-mail').fill('odd.myr@example.org')
  await page.getByLabel('Password to begin with').fill('short')
  await page.getByRole('button', { name: 'Add them' }).click()
  await expect(page.getByText('At least 10 characters.')).toBeVisible()
  await page.getByLabel('Password to begin with').fill('long enough for a helper')
  await page.getByRole('button', { name: 'Add them' }).click()
  await expect(page.getByText('Odd Myr')).toBeVisible()
  await page.getByRole('button', { name: 'Change Ylva Tarn' }).click()
  await page.getByRole('dialog').getByRole('combobox').selectOption('helper')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/The yard needs a starter/)).toBeVisible()
  await page.getByRole('button', { name: 'Close', exact: true }).click()

  const other = await browser.newContext()
  const helper = await other.newPage()
  const signIn = { email: 'odd.myr@example.org', password: 'long enough for a helper' }
  const signedIn = await helper.request.post(`${demo.url}/api/v1/sign-in`, {
    data: signIn,
    headers: { origin: demo.url },
  })
  expect(signedIn.ok()).toBe(true)
  await helper.goto(`${demo.url}/yard/people`)
  await expect(helper.getByText('Odd Myr').first()).toBeVisible()
  await expect(helper.getByRole('button', { name: 'Add a person' })).toHaveCount(0)
  // What would end in a refusal is not offered.
  await helper.goto(`${demo.url}/yard`)
  await expect(helper.getByRole('link', { name: /^Lapwing/ }).first()).toBeVisible()
  await expect(helper.getByRole('link', { name: 'Add a horse' })).toHaveCount(0)
  await helper
    .getByRole('link', { name: /^Lapwing/ })
    .last()
    .click()
  await expect(helper.getByRole('heading', { level: 1, name: 'Lapwing' })).toBeVisible()
  await expect(helper.getByRole('link', { name: 'Edit' })).toHaveCount(0)
  await helper.goto(`${demo.url}/horses/new`)
  await expect(helper.getByText('This is for a starter of the yard.')).toBeVisible()
  await other.close()

  await page.goto(`${demo.url}/yard/places`)
  await page.getByRole('button', { name: 'Add a place' }).click()
  await page.getByLabel('Name').fill('Birch paddock')
  await page.getByRole('button', { name: 'Add it', exact: true }).click()
  await expect(page.getByText('Birch paddock')).toBeVisible()
  const horse = await addHorse(page, demo, { name: 'Bogbean' })
  await page.goto(`${demo.url}/before/${horse}`)
  await page.getByLabel('Where today').selectOption('Birch paddock')
  await page.goto(`${demo.url}/pen/${horse}`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await page.keyboard.press('l')
  const provedAt = async (): Promise<string | undefined> => {
    const worked = await page.request.get(`${demo.url}/api/v1/horses/${horse}/worked`)
    return ((await worked.json()) as { rows: { place: string }[] }).rows[0]?.place
  }
  await expect.poll(provedAt, { timeout: 30_000 }).toBe('Birch paddock')
})

test('an owner reads the report of their own horse, and nothing of the work', async ({
  page,
  demo,
  browser,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/people`)
  await page.getByRole('button', { name: 'Add a person' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Tove Lund')
  await page.getByRole('dialog').getByRole('combobox').selectOption('owner')
  await page.getByLabel('E-mail').fill('tove.lund@example.org')
  await page.getByLabel('Password to begin with').fill('long enough for an owner')
  await page.getByRole('button', { name: 'Add them' }).click()
  await page.goto(`${demo.url}/horses/${id.Bittern}/blocks`)
  await page.getByLabel('Owner, who may read its reports').selectOption({ label: 'Tove Lund' })
  await expect(page.getByLabel('Owner, who may read its reports')).not.toHaveValue('')

  const other = await browser.newContext()
  const owner = await other.newPage()
  const signIn = { email: 'tove.lund@example.org', password: 'long enough for an owner' }
  await owner.request.post(`${demo.url}/api/v1/sign-in`, { data: signIn, headers: { origin: demo.url } })
  await owner.goto(`${demo.url}/before/${id.Bittern}`)
  await expect(owner.getByRole('heading', { name: 'Bittern' })).toBeVisible()
  await expect(owner.getByRole('navigation', { name: 'Parts of the day' })).toHaveCount(0)
  await owner.getByText(/How it stood at the end of: starting/).click()
  await expect(owner.getByText('Plastic that flaps behind her.')).toBeVisible()
  const { violations } = await new AxeBuilder({ page: owner }).analyze()
  expect(violations.map(({ id: rule, nodes }) => [rule, nodes[0]?.html])).toEqual([])
  await owner.getByRole('button', { name: 'Sign out' }).click()
  await expect(owner.getByRole('button', { name: 'Sign in as the demo starter' })).toBeVisible()
  await other.close()
})

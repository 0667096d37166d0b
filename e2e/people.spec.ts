import type { Page } from '@playwright/test'
import { addHorse, enterDemo, expect, test } from './fixtures'
import { startProduct, type Product } from './product'

const HER = { name: 'Odd Myr', email: 'odd.myr@example.org', password: 'long enough for a helper' }
const ANOTHER = 'another one altogether'

const signIn = async (page: Page, product: Product, password: string): Promise<void> => {
  await page.goto(product.url)
  await page.getByLabel('E-mail').fill(HER.email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

test('a person is added, gets a new password by a link, changes it, is suspended, removed and let back', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000)
  const yard = await startProduct({ demo: false })
  try {
    await page.goto(yard.url)
    await page.getByLabel('Name of the yard').fill('Alder Bank')
    await page.getByLabel('Your name').fill('Runa Vik')
    await page.getByLabel('E-mail').fill('runa@example.org')
    await page.getByLabel('Password').fill('a long enough one')
    await page.getByRole('button', { name: 'Make the yard' }).click()
    await expect(page.getByRole('heading', { name: 'No horses yet' })).toBeVisible()
    await addHorse(page, yard, { name: 'Ruff' })

    await page.goto(`${yard.url}/yard/people`)
    await page.getByRole('button', { name: 'Add a person' }).click()
    await page.getByLabel('Name', { exact: true }).fill(HER.name)
    await page.getByLabel('E-mail').fill(HER.email)
    await page.getByLabel('Password to begin with').fill(HER.password)
    await page.getByRole('button', { name: 'Add them' }).click()
    const row = page.getByRole('listitem').filter({ hasText: HER.name }).first()
    await row.getByRole('button', { name: 'New password' }).click()
    await page.getByRole('button', { name: 'Make the link' }).click()
    const link = await page.getByLabel('The link').inputValue()
    await page.getByRole('button', { name: 'Close', exact: true }).click()

    const phone = await (await browser.newContext()).newPage()
    await phone.goto(link)
    await phone.getByLabel('Your new password').fill(ANOTHER)
    await phone.getByRole('button', { name: 'Take it' }).click()
    await expect(phone.getByText('It is changed.', { exact: false })).toBeVisible()
    // Once: the link is used up.
    await phone.goto('about:blank')
    await phone.goto(link)
    await phone.getByLabel('Your new password').fill('a third one altogether')
    await phone.getByRole('button', { name: 'Take it' }).click()
    await expect(phone.getByText(/This link is used, too old/)).toBeVisible()
    await signIn(phone, yard, ANOTHER)
    await expect(phone.getByRole('navigation', { name: 'Today’s horses' })).toBeVisible()

    await phone.goto(`${yard.url}/yard/settings`)
    await phone.getByLabel('The one you have now').fill('not this one')
    await phone.getByLabel('A new one').fill(HER.password)
    await phone.getByRole('button', { name: 'Change it' }).click()
    await expect(phone.getByText('This is not the password you have now.')).toBeVisible()
    await phone.getByLabel('The one you have now').fill(ANOTHER)
    await phone.getByRole('button', { name: 'Change it' }).click()
    await expect(phone.getByText(/Your password is changed/)).toBeVisible()

    await row.getByRole('button', { name: 'Suspend' }).click()
    await expect(page.getByText('helper, suspended', { exact: false })).toBeVisible()
    await signIn(phone, yard, HER.password)
    await expect(phone.getByText('Your sign-in is suspended. Ask a starter of the yard.')).toBeVisible()
    await row.getByRole('button', { name: 'Let back' }).click()
    await phone.getByRole('button', { name: 'Sign in' }).click()
    await expect(phone.getByRole('navigation', { name: 'Today’s horses' })).toBeVisible()
    await row.getByRole('button', { name: 'Remove' }).click()
    await page.getByText('Removed: 1').click()
    await expect(page.getByText(`${HER.name}, helper`)).toBeVisible()
    await page
      .getByRole('listitem')
      .filter({ hasText: 'What they logged stays.' })
      .getByRole('button', { name: 'Undo' })
      .click()
    await expect(row.getByRole('button', { name: 'Suspend' })).toBeVisible()
  } finally {
    await yard.stop()
  }
})

test('a report is given by a link: read with its code, and no more once it is revoked', async ({
  page,
  browser,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Lapwing}/report`)
  await expect(page.getByRole('heading', { name: 'What is next, and why not sooner' })).toBeVisible()
  await page.getByRole('button', { name: 'Make a link' }).click()
  const link = await page.getByLabel('The link', { exact: true }).inputValue()
  const code = await page
    .getByText(/^Its code, to be told apart from it:/)
    .locator('b')
    .innerText()

  const owner = await (await browser.newContext()).newPage()
  await owner.goto(link)
  await owner.getByLabel('Its code').fill('000000')
  await owner.getByRole('button', { name: 'Read it' }).click()
  await expect(owner.getByText('This is not its code.', { exact: false })).toBeVisible()
  await owner.getByLabel('Its code').fill(code)
  await owner.getByRole('button', { name: 'Read it' }).click()
  await expect(owner.getByRole('heading', { level: 1, name: 'Lapwing' })).toBeVisible()
  await expect(owner.getByText(/^A pull-back on .*: nobody was hurt/)).toBeVisible()
  const pdf = await owner.request.post(`${demo.url}/api/v1/shared-report/pdf`, {
    form: { token: link.split('#')[1]!, code },
    headers: { origin: demo.url },
  })
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  // Nothing else of the yard is told to who has a link.
  expect((await owner.request.get(`${demo.url}/api/v1/today`)).status()).toBe(401)

  await page.getByRole('button', { name: 'Revoke' }).click()
  await expect(page.getByText(/: revoked$/)).toBeVisible()
  await owner.goto('about:blank')
  await owner.goto(link)
  await owner.getByLabel('Its code').fill(code)
  await owner.getByRole('button', { name: 'Read it' }).click()
  await expect(owner.getByText(/This link has ended, was revoked/)).toBeVisible()
})

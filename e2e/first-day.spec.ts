import { expect, test, press, wait } from './fixtures'
import { startProduct } from './product'

test.describe.configure({ timeout: 300_000 })

test('from an empty yard somebody looks at a made-up one, tries it, and comes back to their own, still empty', async ({
  page,
}) => {
  const yard = await startProduct({ demo: false })
  await page.goto(yard.url)
  await page.getByLabel('Name of the yard').fill('Alder Bank')
  await page.getByLabel('Your name').fill('Runa Vik')
  await page.getByLabel('E-mail').fill('runa@example.org')
  await page.getByLabel('Password').fill('a long enough one')
  await page.getByRole('button', { name: 'Make the yard' }).click()
  await page.getByRole('link', { name: /Look at a made-up yard/ }).click()
  await page.getByRole('button', { name: 'Look at it' }).click()
  await expect(page.getByRole('link', { name: /^Sedge/ }).first()).toBeVisible({ timeout: 120_000 })
  await expect(page.getByText('A made-up yard.')).toBeVisible()
  await page.getByRole('button', { name: 'Back to your own yard' }).click()
  await expect(page.getByRole('heading', { name: 'No horses yet' })).toBeVisible()
  await expect(page.getByText('A made-up yard.')).toHaveCount(0)
  await yard.stop()
})

test('a whole day by keyboard alone: looked at before, worked, confirmed after, found and read', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await page.getByRole('button', { name: 'Sign in as the demo starter' }).waitFor()
  const tabTo = async (name: RegExp): Promise<void> => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab')
      const focused = page.locator(':focus')
      const words = (await focused.getAttribute('aria-label')) ?? (await focused.innerText().catch(() => ''))
      if (name.test(words)) return
    }
    throw new Error(`No way to ${name} by Tab.`)
  }
  await tabTo(/Sign in as the demo starter/)
  await page.keyboard.press('Enter')
  await page.getByRole('navigation', { name: 'Today’s horses' }).waitFor()
  // Find a horse, and look at its day.
  await page.keyboard.press('/')
  await expect(page.getByRole('dialog').getByRole('combobox')).toBeFocused()
  await page.keyboard.type('Snipe')
  await expect(page.getByRole('dialog').getByRole('option', { selected: true })).toHaveText(/Snipe/)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/(horses|before)\//)
  await page.getByRole('heading', { level: 1, name: 'Snipe' }).waitFor()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('b')
  await expect(page).toHaveURL(/\/before\//)
  await page.getByRole('heading', { level: 1, name: 'Snipe' }).waitFor()
  // To the pen by the key of its part, one ask and its calm by their keys.
  await page.keyboard.press('p')
  await expect(page).toHaveURL(/\/pen\//)
  const more = page.getByRole('button', { name: /^One more load day this week/ })
  const ask = page.getByRole('button', { name: /^(Ask|Start)/ }).filter({ visible: true })
  await expect(more.or(ask).first()).toBeVisible()
  if (await more.isVisible()) {
    await tabTo(/^One more load day this week/)
    await page.keyboard.press('Enter')
  }
  await ask.first().waitFor()
  await press(page, 'Space')
  await wait(page, 900)
  await press(page, 'Space')
  await page.keyboard.press('l')
  await wait(page, 400)
  // Back to the day by keys, the session noted and confirmed.
  await tabTo(/^(Done|Snipe)/)
  await page.keyboard.press('Enter')
  await expect(page).not.toHaveURL(/\/pen\//)
  await page.keyboard.press('a')
  await expect(page).toHaveURL(/\/after\//)
  await page.getByRole('textbox', { name: 'Note' }).waitFor()
  for (let i = 0; i < 80; i++) {
    if (await page.getByRole('textbox', { name: 'Note' }).evaluate((note) => note === document.activeElement))
      break
    await page.keyboard.press('Tab')
  }
  await page.keyboard.type('By keys alone.')
  await tabTo(/^Confirm this session$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Confirmed at/)).toBeVisible({ timeout: 30_000 })
  // The next horse, the week, the yard, and what the keys are.
  await page.keyboard.press('Tab')
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/\/after\//)
  await page.keyboard.press('w')
  await expect(page).toHaveURL(/\/week$/)
  await page.keyboard.press('y')
  await expect(page).toHaveURL(/\/yard$/)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: /^Help: Yard/ })).toBeVisible()
  await expect(page.getByText('All horses, to search, sort and choose from')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

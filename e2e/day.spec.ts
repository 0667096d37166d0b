import { addHorse, enterDemo, expect, test, press, wait } from './fixtures'

test('a gate’s stops are confirmed on the day, and the verdict follows', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Lapwing}/gates/first-time-up`)
  await expect(page.getByText('Stop', { exact: true })).toBeVisible()
  await expect(
    page.getByText('Not confirmed today: a second person in the pen, a helmet on', { exact: false }),
  ).toBeVisible()
  // A Stop offers no overrule.
  await expect(page.getByText('Go on all the same, with a reason')).toHaveCount(0)
  await page.getByLabel('A second person is here').check()
  await expect(page.getByLabel('A second person is here')).toBeChecked()
  await page.getByLabel('Helmet on').check()
  await page.getByLabel('Rider and saddle weigh at most 15 % of the horse').check()
  await expect(page.getByText('Not yet', { exact: true })).toBeVisible()
  await expect(page.getByText('Go on all the same, with a reason')).toBeVisible()
})

test('a veterinary hold rests the horse everywhere at once', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Whin}/incidents`)
  await page.getByRole('button', { name: 'Add a check' }).click()
  await page.getByLabel('What').selectOption({ label: 'Veterinary hold' })
  await page.getByLabel('Note').fill('Cut above the off hind fetlock')
  await page.getByRole('button', { name: 'Record it' }).click()
  await expect(page.getByText('Cut above the off hind fetlock')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Whin vet hold' })).toBeVisible()
  await page.goto(`${demo.url}/before/${id.Whin}`)
  await expect(page.getByText(/Rests: veterinary hold since/).first()).toBeVisible()
  await expect(page.getByRole('link', { name: /to the pen/ })).toHaveCount(0)
  await page.goto(`${demo.url}/horses/${id.Whin}/incidents`)
  await page.getByRole('button', { name: 'The vet has lifted it' }).click()
  await expect(page.getByText('The hold is lifted.')).toBeVisible()
})

test('what a gate wants now is run in the pen, and the gate follows', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Bittern}/gates/halter`)
  await expect(page.getByText('Check first', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: /^Run all \d+ in the pen/ }).click()
  await expect(page.getByText(/^check 1 of \d+ · ask 0 of 1/)).toBeVisible()
  for (let check = 1; ; check++) {
    const isAsk = (await page.getByRole('button', { name: /^Ask/ }).count()) > 0
    const sides = await page.getByRole('status', { name: /side$/ }).count()
    for (let side = 0; side < Math.max(1, 2 * sides); side++) {
      if (side > 0) await page.keyboard.press('s')
      await press(page, 'Space')
      await wait(page, isAsk ? 900 : 350)
      await press(page, 'Space')
      await page.keyboard.press('l')
    }
    const next = page.getByRole('button', { name: 'Next burst' }).first()
    if (await next.isDisabled()) break
    await next.click()
    await expect(page.getByText(new RegExp(`^check ${check + 1} of`))).toBeVisible()
  }
  await expect(page.getByText(/all saved/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('link', { name: 'Gate' }).first().click()
  await expect(page.getByText('Go', { exact: true })).toBeVisible()
})

test('what a horse leaves with is ticked, and the last gate judges it', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Lapwing}/gates/hand-over`)
  await expect(
    page.getByText('Nothing is ticked: say what this horse is to leave with.', { exact: false }),
  ).toBeVisible()
  await page.getByLabel('Lead up').check()
  await expect(page.getByRole('row', { name: /^Lead up/ })).toBeVisible()
  await page.getByLabel('Load').check()
  await expect(page.getByText('Not yet', { exact: true })).toBeVisible()
})

test('an incident is told in full, and shows before the work', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Snipe}/incidents`)
  await page.getByRole('button', { name: 'Add an incident' }).click()
  await page.getByLabel('What happened').selectOption('kick')
  await page.getByLabel('In which step').selectOption({ label: 'Body rub' })
  await page.getByLabel('Side of the horse').selectOption('left')
  await page.getByLabel('Before it').fill('Hand came to the flank from behind')
  await page.getByRole('button', { name: 'Record the incident' }).click()
  await expect(page.getByText(/Body rub, left\. Before: Hand came to the flank/)).toBeVisible()
  await page.goto(`${demo.url}/before/${id.Snipe}`)
  await expect(page.getByText(/^A kick on/)).toBeVisible()
})

test('keys of the remote are learnt by pressing, colours follow the person', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/settings`)
  await page.getByRole('button', { name: 'PageDown' }).click()
  await expect(page.getByRole('button', { name: 'Press it now' })).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: 'ArrowRight' })).toBeVisible()
  await page.getByLabel('Colours').selectOption('dark')
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=catch-rope`)
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^Settled/ })).toBeVisible()
  await page.keyboard.press('u')
  await page.goto(`${demo.url}/yard/settings`)
  await page.getByRole('button', { name: 'ArrowRight' }).click()
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('button', { name: 'PageDown' })).toBeVisible()
  await page.getByLabel('Colours').selectOption('system')
})

test('two tabs of one pen send each answer once', async ({ page, context, demo }) => {
  await enterDemo(page, demo)
  const horse = await addHorse(page, demo, { name: 'Speedwell' })
  const answersOf = async (): Promise<number> => {
    const reply = await page.request.get(`${demo.url}/api/v1/horses/${horse}/steps/settle-in-pen/answers`)
    return ((await reply.json()) as { answers: unknown[] }).answers.length
  }
  const before = await answersOf()
  const second = await context.newPage()
  for (const tab of [page, second]) {
    await tab.goto(`${demo.url}/pen/${horse}?step=settle-in-pen`)
    await expect(tab.getByRole('button', { name: /^Start/ })).toBeVisible()
  }
  for (const tab of [page, second]) {
    await tab.bringToFront()
    await press(tab, 'Space')
    await wait(tab, 400)
    await press(tab, 'Space')
    await tab.keyboard.press('l')
  }
  await expect(second.getByText(/all saved/)).toBeVisible({ timeout: 20_000 })
  await expect.poll(answersOf, { timeout: 20_000 }).toBe(before + 2)
})

test('a hold counts down and takes a press for each correction', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/pen/${id.Lapwing}?step=carry-bit`)
  await expect(page.getByText('10 s to hold')).toBeVisible()
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'n')
  await press(page, 'n')
  await expect(page.getByText('2 corrections')).toBeVisible()
  await wait(page, 11_000)
  await press(page, 'Space')
  await expect(page.getByRole('img', { name: /two, or one firm/ }).filter({ visible: true })).toBeVisible()
})

test('the plan prints without what belongs to a screen', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/before/${id.Sedge}`)
  await expect(page.getByRole('heading', { level: 1, name: 'Sedge' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Parts of the day' })).toBeHidden()
  await expect(page.getByText('Carry out')).toBeVisible()
  await expect(page.getByText('Take care')).toBeVisible()
})

test('signing out leads to the sign-in, and another person’s page is not kept', async ({ page, demo }) => {
  await enterDemo(page, demo)
  await page.goto(`${demo.url}/yard/settings`)
  await page.getByRole('link', { name: 'What is saved, devices, sign out' }).click()
  await page.getByRole('button', { name: 'Sign out and wipe' }).click()
  await expect(page.getByRole('button', { name: 'Sign in as the demo starter' })).toBeVisible()
  await expect(page.getByText('Sedge')).toHaveCount(0)
})

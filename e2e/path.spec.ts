import { enterDemo, expect, test, press, wait } from './fixtures'

test('a new yard makes itself, adds a horse, works it and reads the gate', async ({ page, yard }) => {
  await page.goto(yard.url)
  await expect(page.getByRole('heading', { name: 'Make your yard' })).toBeVisible()
  await page.getByLabel('Name of the yard').fill('Alder Bank')
  await page.getByLabel('Your name').fill('Runa Vik')
  await page.getByLabel('E-mail').fill('runa@example.org')
  await page.getByLabel('Password').fill('short')
  await page.getByRole('button', { name: 'Make the yard' }).click()
  await expect(page.getByText('At least 10 characters.').first()).toBeVisible()
  await page.getByLabel('Password').fill('a long enough one')
  await page.getByRole('button', { name: 'Make the yard' }).click()

  // Add a horse; an impossible date is named at its field.
  await page.getByRole('link', { name: 'Add a horse' }).click()
  await page.getByLabel('Name').fill('Curlew “Ωμέγα” 🐴')
  await page.getByLabel('Born').fill('2999-01-01')
  await page.getByRole('button', { name: 'Add this horse' }).click()
  await expect(page.getByText('It cannot be born after today.').first()).toBeVisible()
  await page.getByLabel('Born').fill('2023-05-01')
  await page.getByRole('button', { name: 'Add this horse' }).click()

  // The Line: all New.
  await expect(page.getByRole('heading', { level: 1, name: 'Curlew “Ωμέγα” 🐴' })).toBeVisible()
  await expect(page.getByText('Nothing asked yet. It begins with settling in the pen.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Settle in the pen: New' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Head rub: left New, right New' })).toBeVisible()

  // Before: what is open, why, at which rung, and why the rest is not.
  await page.getByRole('link', { name: 'Before' }).click()
  await expect(page.getByText('“person at the gate”').first()).toBeVisible()
  await expect(page.getByText('New, and all it needs is met', { exact: false }).first()).toBeVisible()
  await page.getByText('steps are not open yet: why').click()
  await expect(page.getByText('needs head rub to “poll”', { exact: false }).first()).toBeVisible()

  // Pen: an accept with the keyboard. Tightened, then settled; calm in the count of three.
  await page.getByRole('link', { name: /to the pen/ }).click()
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await press(page, 'Space')
  await wait(page, 400)
  await page.getByRole('button', { name: 'Tightened' }).click()
  await expect(page.getByText('Keep the same level until the feet').filter({ visible: true })).toBeVisible()
  await press(page, 'Space')
  await page.keyboard.press('w')
  await expect(
    page.getByRole('img', { name: /1 answer, oldest first: tightened, watchful/ }).first(),
  ).toBeVisible()
  // A second one, corrected to "noticed" and marked by chance.
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await page.keyboard.press('2')
  await page.keyboard.press('c')
  await page.keyboard.press('l')
  await expect(page.getByRole('img', { name: /noticed, loose, half weight/ }).first()).toBeVisible()
  // A third is undone.
  await press(page, 'Space')
  await wait(page, 400)
  await press(page, 'Space')
  await expect(page.getByRole('img', { name: /^3 answers/ }).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('img', { name: /^2 answers/ }).first()).toBeVisible()
  // A reload keeps the pen as it stood.
  await page.reload()
  await expect(page.getByRole('img', { name: /^2 answers/ }).first()).toBeVisible()

  // After: mend, recall, read, confirm.
  await page.getByRole('link', { name: 'Done' }).first().click()
  await page.getByRole('button', { name: /^Settle in the pen 2 answers$/ }).click()
  await page.getByRole('button', { name: 'Mend' }).first().click()
  await page.getByLabel('Grade').selectOption({ label: 'at ease' })
  await page.getByRole('button', { name: 'Correct' }).click()
  await expect(page.getByText('mended after the session, Runa Vik')).toBeVisible()
  await expect(page.getByText('(mended)')).toBeVisible()
  await page.getByText('Tap in a burst from memory').click()
  await page
    .getByRole('group', { name: /Tap each answer/ })
    .getByRole('button', { name: 'noticed' })
    .click()
  await page
    .getByRole('group', { name: /Tap each answer/ })
    .getByRole('button', { name: 'at ease' })
    .click()
  await page.getByRole('button', { name: 'Keep 2 recalled' }).click()
  await expect(page.getByText('4 answers, 1 taken back')).toBeVisible()
  await expect(page.getByText('Started, was New', { exact: true })).toBeVisible()
  await page.getByRole('textbox', { name: 'Note' }).fill('Windy; a lorry on the road.')
  await page.getByRole('button', { name: 'Confirm this session' }).click()
  await expect(page.getByText(/^Confirmed at/)).toBeVisible()

  // The evidence and the gate.
  await page.keyboard.press('/')
  await page.getByPlaceholder('A horse, a step').fill('settle')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /Settle in the pen/ })).toBeVisible()
  await page.getByText('The figures').click()
  await expect(page.getByText('4 answers on 1 work day')).toBeVisible()
  await page.getByRole('link', { name: 'Curlew “Ωμέγα” 🐴', exact: true }).click()
  await page.getByRole('link', { name: 'Halter gate: Not yet' }).click()
  await expect(page.getByText('0 of 5 skills hold.').first()).toBeVisible()
  await expect(page.getByText(/^Of 5 first asks about/)).toBeVisible()
  await page.getByText('Go on all the same, with a reason').click()
  await page.getByLabel('Why').fill('It wore one on its last farm; I saw it.')
  await page.getByRole('button', { name: 'Overrule Not yet' }).click()
  await expect(page.getByText('Overruled today by Runa Vik (Not yet)', { exact: false })).toBeVisible()
})

test('the demo yard has one New, one lagging on the right, one at Go, one at every place of the path', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/horses/${id.Whin}`)
  await expect(page.getByText('Nothing asked yet. It begins with settling in the pen.')).toBeVisible()
  await page.goto(`${demo.url}/horses/${id.Sedge}/steps/stop-on-circle`)
  await expect(page.getByText(/The right is \d+ points behind: work it first/)).toBeVisible()
  await page.goto(`${demo.url}/horses/${id.Lapwing}/gates/halter`)
  await expect(page.getByText('Go', { exact: true })).toBeVisible()
  await expect(page.getByText(/Go for halter on, today only/)).toBeVisible()
})

test('keys walk the day: horses, parts and help', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  await page.goto(`${demo.url}/before/${id.Sedge}`)
  await expect(page.getByRole('heading', { level: 1, name: 'Sedge' })).toBeVisible()
  await page.keyboard.press(']')
  await expect(page).toHaveURL(`${demo.url}/before/${id.Lapwing}`)
  await page.keyboard.press('a')
  await expect(page).toHaveURL(`${demo.url}/after/${id.Lapwing}`)
  await page.keyboard.press('y')
  await expect(page.getByRole('heading', { level: 1, name: 'Still Pine' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: /^Help/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto(`${demo.url}/horses/${id.Sedge}`)
  // The scale on the rope; the rows below have a link of the same name, and are drawn first.
  await page.locator('[data-step=settle-in-pen]').focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /Face up/ })).toBeVisible()
})

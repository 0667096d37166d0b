import { addHorse, enterDemo, expect, PHONE, test, press, wait } from './fixtures'

/** A day so many months before this one. */
const monthsAgo = (months: number): string => {
  const day = new Date()
  day.setMonth(day.getMonth() - months)
  return day.toISOString().slice(0, 10)
}

test.describe('on a phone', () => {
  test.use(PHONE)

  test('what is not to be asked does not start, and what was done all the same is kept with why', async ({
    page,
    demo,
  }) => {
    await enterDemo(page, demo)
    const id = await addHorse(page, demo, { name: 'Sorrel', more: { born: monthsAgo(20) } })
    await page.goto(`${demo.url}/pen/${id}?step=lie-over`)
    const panel = page.getByRole('region', { name: 'Before this is asked' })
    await expect(panel.getByRole('heading', { name: 'Not to be asked today' })).toBeVisible()
    await expect(page.getByRole('combobox', { name: 'Step' }).getByRole('option')).not.toContainText([
      'Weight in the stirrup',
    ])
    // Neither the key nor the remote starts it.
    await press(page, 'Space')
    await press(page, 'PageDown')
    await wait(page, 500)
    await expect(page.getByRole('button', { name: /^(Settled|Answered)/ })).toHaveCount(0)
    await expect(panel).toBeVisible()
    await panel.getByText('It was done all the same: log it').tap()
    await panel.getByLabel('Why, in a word').fill('the boy got up before I could speak')
    await panel.getByRole('button', { name: 'Log what was done' }).tap()
    await press(page, 'Space')
    await wait(page, 500)
    await press(page, 'Space')
    await page.keyboard.press('t')
    await expect(page.getByText(/all saved/).first()).toBeAttached({ timeout: 30_000 })
    await page.goto(`${demo.url}/horses/${id}/book`)
    await expect(page.getByText(/1 answer against the permit/)).toBeVisible()
    await page.goto(`${demo.url}/horses/${id}/steps/lie-over`)
    await expect(
      page
        .getByRole('list', { name: 'Asked against the permit' })
        .getByText(/the boy got up before I could speak/),
    ).toBeVisible()
  })
})

test('Undo takes back the last thing, a danger too, and says what; a record of it can count again', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  const id = await addHorse(page, demo, { name: 'Tansy' })
  await page.goto(`${demo.url}/pen/${id}?step=settle-in-pen`)
  await page.getByRole('button', { name: /^Start/ }).waitFor()
  await press(page, 'Space')
  await wait(page, 500)
  await press(page, 'Space')
  await page.keyboard.press('l')
  await page.getByRole('button', { name: 'Danger' }).click()
  await expect(page.getByRole('heading', { name: 'Stop. Is anyone hurt?' })).toBeVisible()
  await page.getByRole('button', { name: 'Kick', exact: true }).click()
  // Sent: what is taken back before that leaves no trace.
  await expect
    .poll(async () => {
      const reply = await page.request.get(`${demo.url}/api/v1/horses/${id}/incidents`)
      return ((await reply.json()) as { incidents: unknown[] }).incidents.length
    })
    .toBe(1)
  await press(page, 'u')
  await expect(page.getByText('Undone: the kick that was recorded.')).toBeVisible()
  await press(page, 'u')
  await expect(page.getByText('Undone: how it felt. The answer stays.')).toBeVisible()
  await press(page, 'u')
  await expect(page.getByText('Undone: at ease, settle in the pen.')).toBeVisible()
  await expect(page.getByText(/all saved/)).toBeVisible({ timeout: 30_000 })
  await page.goto(`${demo.url}/horses/${id}/incidents`)
  await expect(page.getByText(/Taken back.*pressed by mistake.*It counts no more/)).toBeVisible()
  await page.getByRole('button', { name: 'Let it count again' }).click()
  await expect(page.getByText(/It counts no more/)).toHaveCount(0)
})

test('a horse is put right where it was written wrong, leaves the string and comes back', async ({
  page,
  demo,
}) => {
  await enterDemo(page, demo)
  const id = await addHorse(page, demo, { name: 'Bugle', more: { handled: true } })
  await page.goto(`${demo.url}/horses/${id}`)
  await page.getByRole('link', { name: 'Edit', exact: true }).click()
  await page.getByLabel('At least, years').fill('5')
  await page.getByLabel('At most, years').fill('3')
  await page.getByLabel('How it is known').fill('by its teeth')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByLabel('At most, years')).toHaveAttribute('aria-invalid', 'true')
  await page.getByLabel('At least, years').fill('3')
  await page.getByLabel('At most, years').fill('5')
  await page.getByLabel('Name').fill('Bugleweed')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Bugleweed' })).toBeVisible()
  await expect(page.getByText(/by its teeth/)).toBeVisible()
  await page.getByRole('link', { name: 'Edit', exact: true }).click()
  await page.getByRole('button', { name: 'Take it out of the string' }).click()
  await expect(page.getByRole('button', { name: 'It is back' })).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Today’s horses' }).getByText('Bugleweed')).toHaveCount(0)
  await page.getByRole('button', { name: 'It is back' }).click()
  await expect(page.getByRole('navigation', { name: 'Today’s horses' }).getByText('Bugleweed')).toBeVisible()
})

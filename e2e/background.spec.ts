import { expect, test, press, wait } from './fixtures'
import { savedOf, lying, settledIn } from './this-device'

test.use({ serviceWorkers: 'allow' })

test('what waits is sent in the background when its page is gone', async ({ page, context, demo }) => {
  const id = await settledIn(page, demo)
  const devTools = await context.newCDPSession(page)
  const registered = new Promise<string>((resolve) =>
    devTools.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const own = registrations.find(({ scopeURL, isDeleted }) => scopeURL === `${demo.url}/` && !isDeleted)
      if (own) resolve(own.registrationId)
    }),
  )
  await devTools.send('ServiceWorker.enable')
  const registrationId = await registered
  await page.goto(`${demo.url}/pen/${id.Teal}?step=face-up`)
  await page.getByRole('button', { name: /^Ask/ }).waitFor()
  const before = (await savedOf(page, demo, { horse: id.Teal!, step: 'face-up' })).length
  // The page cannot send; the service worker is not stopped by this.
  await page.route('**/answers/batch', (route) => route.abort())
  await press(page, 'Space')
  await wait(page, 700)
  await press(page, 'Space')
  await expect.poll(async () => (await lying(page, 'waiting')).length).toBe(2)
  await page.goto('about:blank')
  await expect(async () => {
    await devTools.send('ServiceWorker.dispatchSyncEvent', {
      origin: demo.url,
      registrationId,
      tag: 'outbox',
      lastChance: false,
    })
    expect(await savedOf(page, demo, { horse: id.Teal!, step: 'face-up' })).toHaveLength(before + 1)
  }).toPass({ timeout: 60_000, intervals: [1_000] })
  await page.unroute('**/answers/batch')
  await page.goto(`${demo.url}/horses/${id.Teal}`)
  expect(await lying(page, 'waiting')).toEqual([])
})

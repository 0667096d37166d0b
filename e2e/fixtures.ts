import { expect, test as base, type Page } from '@playwright/test'
import { startProduct, type Product } from './product'

interface Workers {
  readonly demo: Product
  readonly yard: Product
}

/** One demo yard and one empty yard for each worker of a run; the page's clock goes on by itself, and jumps with `wait`. */
export const test = base.extend<object, Workers>({
  context: async ({ context }, use) => {
    await context.clock.install()
    await use(context)
  },
  demo: [
    async ({}, use) => {
      const product = await startProduct({ demo: true })
      await use(product)
      await product.stop()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  yard: [
    async ({}, use) => {
      const product = await startProduct({ demo: false })
      await use(product)
      await product.stop()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
})

export { expect } from '@playwright/test'

/** Signs in with one click and gives the ids of the horses by name. */
export const enterDemo = async (page: Page, product: Product): Promise<Record<string, string>> => {
  await page.goto(product.url)
  await page.getByRole('button', { name: 'Sign in as the demo starter' }).click()
  await page.getByRole('navigation', { name: 'Today’s horses' }).waitFor()
  const reply = await page.request.get(`${product.url}/api/v1/today`)
  const { rows } = (await reply.json()) as { rows: { horse: { id: string; name: string } }[] }
  return Object.fromEntries(rows.map(({ horse }) => [horse.name, horse.id]))
}

/** Adds a horse nobody has touched, for tests that count on one, and gives its id. */
export const addHorse = async (
  page: Page,
  product: Product,
  { name, more = {} }: { name: string; more?: { readonly handled?: boolean; readonly born?: string } },
): Promise<string> => {
  const id = crypto.randomUUID()
  const reply = await page.request.put(`${product.url}/api/v1/horses/${id}`, {
    headers: { origin: product.url },
    data: {
      name,
      born: null,
      sex: 'mare',
      kind: 'horse',
      marks: '',
      origin: '',
      handled: false,
      arrived: new Date().toISOString().slice(0, 10),
      version: 0,
      ...more,
    },
  })
  if (!reply.ok()) throw new Error(await reply.text())
  return id
}

/** Milliseconds that the person at the page lets pass: its clock goes on by them at once. */
export const wait = (page: Page, ms: number): Promise<void> => page.clock.fastForward(ms)

/** A press of a hand: later than the quarter of a second in which a second touch is the same press. */
export const press = async (page: Page, key: string): Promise<void> => {
  await wait(page, 300)
  await page.keyboard.press(key)
}

/** Takes up what has the focus, moves it by arrow keys and puts it down; the page says each before the next is pressed. */
export const moveByKeys = async (page: Page, arrows: readonly string[]): Promise<void> => {
  const said = page.getByText(/was moved over droppable area/)
  await page.keyboard.press('Space')
  await expect(said).toBeAttached()
  for (const arrow of arrows) {
    const before = await said.innerText()
    await page.keyboard.press(arrow)
    await expect(said).not.toHaveText(before)
  }
  await page.keyboard.press('Space')
}

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }

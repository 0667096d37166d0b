import type { Page } from '@playwright/test'
import { pages, settle } from './every-page'
import { enterDemo, expect, test } from './fixtures'

/** Sizes of screens, in CSS pixels, and how large the letters are against the usual ones. */
const SIZES = [
  { width: 1280, height: 800, letters: 1 },
  { width: 844, height: 390, letters: 1 },
  { width: 640, height: 360, letters: 1 },
  { width: 390, height: 844, letters: 1 },
  { width: 360, height: 640, letters: 1 },
  { width: 1280, height: 800, letters: 2 },
  { width: 390, height: 844, letters: 2 },
] as const

/** The least side of a target (WCAG 2.2, 2.5.8), and of one that is pressed in gloves. */
const LEAST = 24
const LEAST_IN_GLOVES = 64

/** What is pressed: too small, over another, or off the side of the page. A link within a sentence is as high as its line. */
const faultsOf = (page: Page, least: number): Promise<readonly string[]> =>
  page.evaluate((least) => {
    const name = (element: Element): string =>
      `${element.tagName.toLowerCase()} “${(element.getAttribute('aria-label') ?? element.textContent ?? '').trim().slice(0, 40)}”`
    const isSeen = (element: Element): boolean =>
      element.checkVisibility({ visibilityProperty: true, opacityProperty: true }) &&
      !element.closest('.sr-only, [aria-hidden="true"], svg')
    const isInSentence = (element: Element): boolean =>
      element.tagName === 'A' && getComputedStyle(element).display === 'inline'
    const boxes = [
      ...document.querySelectorAll('button, a[href], select, input, summary, textarea, [role=tab]'),
    ]
      .filter((element) => isSeen(element) && !isInSentence(element))
      .map((element) => {
        const label = element.closest('label')
        const target = element.matches('[type=checkbox], [type=radio]') && label ? label : element
        return { element, box: target.getBoundingClientRect() }
      })
      .filter(({ box }) => box.width > 0 && box.height > 0)
    const found: string[] = []
    const over = document.documentElement.scrollWidth - innerWidth
    if (over > 0) found.push(`the page is ${over} px too wide`)
    for (const { element, box } of boxes) {
      const small = Math.min(box.width, box.height)
      if (small < least - 0.5) found.push(`${name(element)} is ${Math.round(small)} px`)
    }
    const isFixed = (element: Element): boolean => {
      for (let at: Element | null = element; at; at = at.parentElement)
        if (['fixed', 'sticky'].includes(getComputedStyle(at).position)) return true
      return false
    }
    const lying = boxes.filter(({ element }) => !isFixed(element))
    lying.forEach((a, i) => {
      for (const b of lying.slice(i + 1)) {
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left)
        const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top)
        const isInside = a.element.contains(b.element) || b.element.contains(a.element)
        if (wide > 2 && high > 2 && !isInside) found.push(`${name(a.element)} lies over ${name(b.element)}`)
      }
    })
    return found
  }, least)

const sized = async (page: Page, { width, height, letters }: (typeof SIZES)[number]): Promise<void> => {
  await page.setViewportSize({ width, height })
  await page.evaluate((size) => {
    document.documentElement.style.fontSize = `${size}px`
  }, 16 * letters)
  await page.clock.runFor(200)
}

test('on every page, at every size, all that is pressed has room and lies apart', async ({ page, demo }) => {
  test.setTimeout(600_000)
  const id = await enterDemo(page, demo)
  const found: string[] = []
  for (const path of pages(id)) {
    await page.goto(`${demo.url}${path}`)
    await settle(page)
    for (const size of SIZES) {
      await sized(page, size)
      const faults = await faultsOf(page, LEAST)
      found.push(
        ...faults.map(
          (fault) => `${path} at ${size.width}×${size.height}, letters × ${size.letters}: ${fault}`,
        ),
      )
    }
  }
  expect(found).toEqual([])
})

test('in the pen of a phone every target is for a glove, and the big button is in sight', async ({
  page,
  demo,
}) => {
  const id = await enterDemo(page, demo)
  const found: string[] = []
  for (const size of SIZES.filter(({ width, letters }) => width < 1000 && letters === 1)) {
    await page.goto(`${demo.url}/pen/${id.Sedge}?step=yield-shoulder`)
    await page.getByRole('button', { name: /^Ask/ }).filter({ visible: true }).waitFor()
    await sized(page, size)
    const big = await page.getByRole('button', { name: /^Ask/ }).filter({ visible: true }).boundingBox()
    const inSight =
      big!.y >= 0 && big!.y + big!.height <= size.height + 0.5 && big!.x + big!.width <= size.width
    if (!inSight) found.push(`${size.width}×${size.height}: the big button is out of sight`)
    found.push(
      ...(await faultsOf(page, LEAST_IN_GLOVES)).map((fault) => `${size.width}×${size.height}: ${fault}`),
    )
  }
  expect(found).toEqual([])
})

import type { Page } from '@playwright/test'

/** Every kind of page, of horses of the demo yard that have something to show on it. */
export const pages = (id: Record<string, string>): readonly string[] => [
  `/before/${id.Sedge}`,
  `/pen/${id.Sedge}`,
  `/after/${id.Lapwing}`,
  '/week',
  '/yard',
  '/yard/people',
  '/yard/places',
  '/yard/files',
  '/yard/settings',
  '/yard/law',
  '/yard/waiting',
  '/horses/new',
  `/horses/${id.Sedge}`,
  `/horses/${id.Sedge}/steps`,
  `/horses/${id.Sedge}/steps/first-touch`,
  `/horses/${id.Sedge}/gates/halter`,
  `/horses/${id.Lapwing}/gates/first-time-up`,
  `/horses/${id.Curlew}/gates/hand-over`,
  '/yard/in',
  '/yard/made-up',
  '/yard/schools',
  '/practice',
  `/horses/${id.Sedge}/from-above?step=flag`,
  `/horses/${id.Sedge}/steps/halter-on/card`,
  `/horses/${id.Lapwing}/farrier`,
  `/horses/${id.Sedge}/incidents`,
  `/horses/${id.Sedge}/record`,
  `/horses/${id.Sedge}/life`,
  `/horses/${id.Sedge}/body`,
  `/horses/${id.Sedge}/going`,
  `/horses/${id.Curlew}/rides`,
  `/horses/${id.Curlew}/tack`,
  `/horses/${id.Sedge}/cues`,
  `/horses/${id.Sedge}/things`,
  `/horses/${id.Sedge}/care`,
  `/pen/${id.Sedge}/line`,
  `/pen/${id.Bittern}/up`,
  `/horses/${id.Lapwing}/report`,
  `/horses/${id.Bittern}/passport`,
  `/horses/${id.Curlew}/poles`,
  `/horses/${id.Lapwing}/trouble`,
  `/horses/${id.Snipe}/counts`,
  `/horses/${id.Bittern}/recheck`,
  `/horses/${id.Bittern}/blocks`,
  `/horses/${id.Whin}/arrival`,
  `/horses/${id.Sedge}/reading`,
  '/yard/reading',
  '/yard/judging',
]

/** Waits until a page has all that it shows. */
export const settle = async (page: Page): Promise<void> => {
  await page.getByRole('main').waitFor()
  await page.getByText('Fetching …').waitFor({ state: 'detached' })
}

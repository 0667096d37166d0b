import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './fixtures'
import { startProduct } from './product'

test('a yard’s own server speaks HTTPS with a certificate of its own making', async ({ browser }) => {
  const folder = mkdtempSync(join(tmpdir(), 'still-pine-tls-'))
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')]
  execFileSync('openssl', [
    ...['req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '30'],
    ...[
      '-subj',
      '/CN=still-pine.home.arpa',
      '-addext',
      'subjectAltName=IP:127.0.0.1,DNS:still-pine.home.arpa',
    ],
    ...['-keyout', key, '-out', cert],
  ])
  const product = await startProduct({ demo: false, tls: { cert, key } })
  try {
    const context = await browser.newContext({ ignoreHTTPSErrors: true })
    const page = await context.newPage()
    const made = await page.request.post(`${product.url}/api/v1/first-run`, {
      data: {
        yardName: 'Alder Bank',
        timeZone: 'Europe/Oslo',
        personName: 'Runa Vik',
        email: 'runa@example.org',
        password: 'a long enough one',
      },
    })
    expect(made.ok()).toBe(true)
    await page.goto(`${product.url}/yard`)
    await expect(page.getByRole('heading', { level: 1, name: 'Alder Bank' })).toBeVisible()
    expect(await page.evaluate(() => isSecureContext)).toBe(true)
    const [cookie] = await context.cookies()
    expect(cookie).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Lax' })
    const reply = await page.request.get(product.url)
    expect(reply.headers()['strict-transport-security']).toMatch(/max-age/)
    await context.close()
  } finally {
    await product.stop()
  }
})

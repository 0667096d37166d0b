/** Speaks to the server over its public API and keeps the cookie. */
export class Api {
  private cookie = ''

  constructor(private readonly address: string) {}

  async ask<T>(method: 'GET' | 'POST' | 'PUT', path: string, body?: unknown): Promise<T> {
    const response = await fetch(`${this.address}/api/v1${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...(this.cookie ? { Cookie: this.cookie } : {}) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    // In a browser the cookie is the browser's own affair.
    const [set] = response.headers.getSetCookie?.() ?? []
    if (set) this.cookie = set.split(';')[0]!
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`)
    return (await response.json()) as T
  }
}

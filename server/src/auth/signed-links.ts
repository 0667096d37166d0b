import { createHmac, timingSafeEqual } from 'node:crypto'

/** What a link may be for; one made for the one is nothing to the other. */
export type LinkKind = 'reset' | 'report'

const HEX = /^[0-9a-f]{32}$/

const mac = (secret: string, words: string): Buffer => createHmac('sha256', secret).update(words).digest()

const signature = (secret: string, kind: LinkKind, id: string): string =>
  mac(secret, `${kind} link ${id}`).toString('base64url')

/** What stands in a link: its id and the server's signature; it can be made again, so that it is kept nowhere. */
export const linkToken = (secret: string, kind: LinkKind, id: string): string =>
  `${id.replaceAll('-', '')}.${signature(secret, kind, id)}`

const isSame = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))

/** The id in a link that this server signed, and nothing of any other. */
export const readLink = (secret: string, kind: LinkKind, token: string): string | null => {
  const [hex = '', signed = ''] = token.split('.')
  if (!HEX.test(hex)) return null
  const id = hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
  return isSame(Buffer.from(signed).toString('hex'), Buffer.from(signature(secret, kind, id)).toString('hex'))
    ? id
    : null
}

const CODE_DIGITS = 6

/** Six digits told apart from the link, so that a link that went astray is not enough. */
export const linkCode = (secret: string, kind: LinkKind, id: string): string =>
  String(mac(secret, `${kind} code ${id}`).readUIntBE(0, 6) % 10 ** CODE_DIGITS).padStart(CODE_DIGITS, '0')

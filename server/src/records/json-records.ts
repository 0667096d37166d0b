import { Assembler } from 'stream-json/assembler.js'
import { jsonParser } from 'stream-json/parser.js'

/** One value of the top object: a scalar or an object under its key, or one element of the array under it. */
export interface JsonRecord {
  readonly key: string
  readonly value: unknown
}

interface Token {
  readonly name: string
  readonly value?: unknown
}

/** The document is not JSON, or not one object. */
export class NotOneObject extends Error {}

const tokensIn = (out: unknown): readonly Token[] => {
  if (out === null || out === undefined) return []
  const { values } = out as { values?: readonly Token[] }
  return values ?? (typeof (out as Token).name === 'string' ? [out as Token] : [])
}

const OPENS = new Set(['startObject', 'startArray'])
const CLOSES = new Set(['endObject', 'endArray'])

/** Takes tokens one by one and gives each value of the top object as soon as it is whole. */
class Splitter {
  private depth = 0
  private key = ''
  private inArray = false
  private assembler: Assembler | null = null
  readonly found: JsonRecord[] = []
  private closed = false

  take(token: Token): void {
    if (this.closed) throw new NotOneObject('Something stands behind the end of the document.')
    const base = this.inArray ? 2 : 1
    if (this.depth === 0) {
      if (token.name !== 'startObject') throw new NotOneObject('The document is not one JSON object.')
      this.depth = 1
    } else if (this.assembler === null && this.depth === base) this.atBase(token)
    else this.within(token, base)
  }

  private atBase(token: Token): void {
    if (!this.inArray && token.name === 'keyValue') this.key = String(token.value)
    else if (!this.inArray && token.name === 'endObject') this.closed = true
    else if (!this.inArray && token.name === 'startArray') {
      this.inArray = true
      this.depth = 2
    } else if (this.inArray && token.name === 'endArray') {
      this.inArray = false
      this.depth = 1
    } else {
      this.assembler = new Assembler()
      this.within(token, this.depth)
    }
  }

  private within(token: Token, base: number): void {
    this.assembler!.consume(token as never)
    if (OPENS.has(token.name)) this.depth += 1
    if (CLOSES.has(token.name)) this.depth -= 1
    if (this.depth !== base) return
    this.found.push({ key: this.key, value: this.assembler!.current })
    this.assembler = null
  }

  end(): void {
    if (!this.closed) throw new NotOneObject('The document ends in the middle.')
  }
}

/**
 * Reads one JSON object of any size, piece by piece: of its arrays one element at a time, never the whole.
 * @throws NotOneObject, or what the parser says of broken JSON.
 */
export async function* jsonRecords(bytes: AsyncIterable<Uint8Array>): AsyncGenerator<JsonRecord[]> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  const parse = jsonParser({ packValues: true, streamValues: false }) as unknown as (text: unknown) => unknown
  const splitter = new Splitter()
  const feed = (text: string): JsonRecord[] => {
    for (const token of tokensIn(parse(text))) splitter.take(token)
    return splitter.found.splice(0)
  }
  for await (const chunk of bytes) {
    const found = feed(decoder.decode(chunk, { stream: true }))
    if (found.length > 0) yield found
  }
  const last = feed(`${decoder.decode()}\n`)
  if (last.length > 0) yield last
  splitter.end()
}

import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Problem } from '@still-pine/contract'
import pg from 'pg'
import { pino } from 'pino'
import { inject } from 'vitest'
import { makeApp } from '../src/app'
import { AttachmentFiles } from '../src/disk/attachment-files'
import { listenForChanges } from '../src/data/changes'
import { appUrl, makePool, type Pool } from '../src/data/pool'
import type { Workings } from '../src/records/in-yard'
import { makingDays } from '../src/records/make-days'
import { workHere, type Threads } from '../src/threads'

/** A copy of the migrated template for one test file. */
export const freshDatabase = async (): Promise<string> => {
  const name = `t_${randomUUID().replaceAll('-', '')}`
  const url = new URL(inject('clusterUrl'))
  const client = new pg.Client(url.href)
  await client.connect()
  await client.query(`create database ${name} template still_pine`)
  await client.end()
  url.pathname = `/${name}`
  return url.href
}

export interface Reply<T> {
  readonly status: number
  readonly body: T
  readonly headers: Headers
}

/** A browser without a window: keeps its cookie, speaks JSON. */
export class Visitor {
  private cookie = ''

  /** What a browser would send along. */
  get signedInAs(): string {
    return this.cookie
  }

  constructor(private readonly address: string) {}

  async ask<T = Record<string, unknown>>(
    method: string,
    path: string,
    { body, headers = {} }: { body?: unknown; headers?: Record<string, string> } = {},
  ): Promise<Reply<T>> {
    const response = await fetch(`${this.address}${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(this.cookie ? { Cookie: this.cookie } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const [set] = response.headers.getSetCookie()
    if (set) this.cookie = set.split(';')[0]!
    const text = await response.text()
    return { status: response.status, body: (text ? JSON.parse(text) : null) as T, headers: response.headers }
  }

  /** A file as it comes, or sent as it is; */
  async file(method: 'GET' | 'POST', path: string, body?: string): Promise<{ status: number; text: string }> {
    const response = await fetch(`${this.address}/api/v1${path}`, {
      method,
      headers: { 'Content-Type': 'application/octet-stream', Cookie: this.cookie },
      ...(body === undefined ? {} : { body }),
    })
    return { status: response.status, text: await response.text() }
  }

  /** Bytes as they come, or sent as they are; a JSON reply is read. */
  async bytes<T = Record<string, unknown>>(
    method: 'GET' | 'PUT' | 'POST',
    path: string,
    { body, headers = {} }: { body?: Uint8Array; headers?: Record<string, string> } = {},
  ): Promise<{ status: number; raw: Buffer; body: T; headers: Headers }> {
    const response = await fetch(`${this.address}/api/v1${path}`, {
      method,
      headers: { 'Content-Type': 'application/octet-stream', Cookie: this.cookie, ...headers },
      ...(body === undefined ? {} : { body: new Uint8Array(body) }),
    })
    const raw = Buffer.from(await response.arrayBuffer())
    const isJson = /[/+]json/.test(response.headers.get('content-type') ?? '')
    return {
      status: response.status,
      raw,
      body: (isJson ? JSON.parse(raw.toString()) : null) as T,
      headers: response.headers,
    }
  }

  get = <T = Record<string, unknown>>(path: string) => this.ask<T>('GET', `/api/v1${path}`)
  put = <T = Record<string, unknown>>(path: string, body: unknown) =>
    this.ask<T>('PUT', `/api/v1${path}`, { body })
  post = <T = Record<string, unknown>>(path: string, body: unknown = {}) =>
    this.ask<T>('POST', `/api/v1${path}`, { body })
}

export interface Running {
  readonly workings: Workings & { readonly attachments: AttachmentFiles }
  readonly filesFolder: string
  readonly address: string
  readonly pool: Pool
  readonly ownerUrl: string
  visitor(): Visitor
  stop(): Promise<void>
}

export interface RunOptions {
  readonly now?: () => Date
  readonly demo?: boolean
  readonly signInTries?: number
  readonly ownerUrl?: string
  readonly engine?: string
  readonly threads?: Threads
  readonly webFolder?: string
  readonly filesFolder?: string
}

/** The application on a database of its own, every reply held against its schema. */
export const startApp = async (options: RunOptions = {}): Promise<Running> => {
  const ownerUrl = options.ownerUrl ?? (await freshDatabase())
  const pool = makePool(appUrl(ownerUrl))
  const changes = listenForChanges(appUrl(ownerUrl))
  const workings = makingDays({
    pool,
    threads: options.threads ?? workHere,
    now: options.now ?? (() => new Date()),
    logger: pino({ level: process.env.LOG_LEVEL ?? 'silent' }),
    engine: options.engine ?? 'test',
  })
  const filesFolder = options.filesFolder ?? mkdtempSync(join(tmpdir(), 'still-pine-files-'))
  const attachments = new AttachmentFiles(filesFolder)
  const app = makeApp({
    ...workings,
    changes,
    attachments,
    version: 'test',
    demo: options.demo ?? false,
    cookieSecret: 'test',
    secure: false,
    webFolder: options.webFolder ?? null,
    checkReplies: true,
    signInTries: options.signInTries ?? 1000,
  })
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening))
  })
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  return {
    address,
    workings: { ...workings, attachments },
    filesFolder,
    pool,
    ownerUrl,
    visitor: () => new Visitor(address),
    stop: async () => {
      await changes.end()
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await pool.end()
    },
  }
}

export const FIRST_RUN = {
  yardName: 'Alder Bank',
  timeZone: 'Europe/Oslo',
  personName: 'Runa Vik',
  email: 'runa@example.org',
  password: 'a long enough one',
}

/** A running yard and its starter, signed in. */
export const startYard = async (options: RunOptions = {}): Promise<Running & { starter: Visitor }> => {
  const running = await startApp(options)
  const starter = running.visitor()
  await starter.post('/first-run', FIRST_RUN)
  return { ...running, starter }
}

/** Opens all connections there may be, so that what is asked next runs side by side from its first moment. */
export const warm = async ({ pool }: Running): Promise<void> => {
  const clients = await Promise.all(Array.from({ length: pool.options.max }, () => pool.connect()))
  for (const client of clients) client.release()
}

export type ProblemReply = Reply<Problem>

import { CHANGES_PATH } from './addresses'
import type { Action } from './rights'

/** A route whose reply or body is streamed; what it needs is in the same table of rights. */
export interface StreamedRoute {
  readonly method: 'get' | 'post'
  readonly path: string
  readonly summary: string
  readonly needs: Action
  /** The media type of what is sent, or of what is given. */
  readonly type: string
}

export const files = {
  answersOut: {
    method: 'get',
    path: '/out/answers.csv',
    summary: 'Answers of the yard, or of one horse (`?horseId=`), as CSV (RFC 4180)',
    needs: 'take-out',
    type: 'text/csv',
  },
  yardOut: {
    method: 'get',
    path: '/out/yard.json',
    summary: 'The whole yard as one JSON document',
    needs: 'take-out',
    type: 'application/json',
  },
  /** An owner gets those of their own horses. */
  reportPdf: {
    method: 'get',
    path: '/out/report.pdf',
    summary: 'The report of a horse (`?horseId=`) as a PDF',
    needs: 'read-own-reports',
    type: 'application/pdf',
  },
  yardIn: {
    method: 'post',
    path: '/in/yard',
    summary: 'Bring a whole yard into an empty one: all of it or nothing',
    needs: 'bring-in',
    type: 'application/octet-stream',
  },
  answersIn: {
    method: 'post',
    path: '/in/answers',
    summary: 'Bring in a log of answers, one JSON object a line: all of it or nothing',
    needs: 'bring-in',
    type: 'application/x-ndjson',
  },
} as const satisfies Readonly<Record<string, StreamedRoute>>

export const streams = {
  changes: {
    method: 'get',
    path: CHANGES_PATH,
    summary: 'Tells of every change of the yard as it is saved, as server-sent events',
    needs: 'read-yard',
    type: 'text/event-stream',
  },
} as const satisfies Readonly<Record<string, StreamedRoute>>

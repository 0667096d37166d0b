import { CHANGES_PATH } from './addresses'
import type { Action } from './rights'

/** A route whose reply or body is streamed; what it needs is in the same table of rights. */
export interface StreamedRoute {
  readonly method: 'get' | 'post' | 'put'
  readonly path: string
  readonly summary: string
  readonly needs: Action | 'signed-in'
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
    summary: 'The whole yard as one JSON document, without its pictures, clips and spoken notes',
    needs: 'take-out',
    type: 'application/json',
  },
  yardZipOut: {
    method: 'get',
    path: '/out/yard.zip',
    summary: 'The whole yard as a ZIP: its JSON document, and every picture, clip and spoken note',
    needs: 'take-out',
    type: 'application/zip',
  },
  /** An owner gets those of their own horses. */
  reportPdf: {
    method: 'get',
    path: '/out/report.pdf',
    summary: 'The report of a horse (`?horseId=`) as a PDF',
    needs: 'read-own-reports',
    type: 'application/pdf',
  },
  passportPdf: {
    method: 'get',
    path: '/out/passport.pdf',
    summary: 'What goes with a horse (`?horseId=`) to its next hands, as a PDF',
    needs: 'read-yard',
    type: 'application/pdf',
  },
  yardIn: {
    method: 'post',
    path: '/in/yard',
    summary: 'Bring a whole yard, as JSON or ZIP, into an empty one: all of it or nothing',
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
  attachmentPiece: {
    method: 'put',
    path: '/attachments/{attachmentId}/pieces/{from}',
    summary:
      'The bytes of an attachment from one on; replies how far it has come, where the next piece begins',
    needs: 'log-answers',
    type: 'application/octet-stream',
  },
  attachmentThumbnailIn: {
    method: 'put',
    path: '/attachments/{attachmentId}/thumbnail',
    summary: 'A small JPEG that stands for a picture or clip in lists',
    needs: 'log-answers',
    type: 'image/jpeg',
  },
  attachmentThumbnail: {
    method: 'get',
    path: '/attachments/{attachmentId}/thumbnail',
    summary: 'The small JPEG of a picture or clip; for an owner, of what was chosen for their report',
    needs: 'signed-in',
    type: 'image/jpeg',
  },
  attachmentFile: {
    method: 'get',
    path: '/attachments/{attachmentId}/file',
    summary: 'A picture, clip or spoken note, whole or by ranges',
    needs: 'read-yard',
    type: 'application/octet-stream',
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

import { query } from '../query'

export const checks = query('checks', ['horse', 'checks'], (parts) => ({ checks: parts.checks }))

export const attachments = query('attachments', ['horse', 'attachments'], (parts) => ({
  attachments: parts.attachments,
}))

export const measurements = query('measurements', ['horse', 'measurements'], (parts) => ({
  measurements: parts.measurements,
}))

export const entries = query('entries', ['horse', 'entries'], (parts) => ({
  entries: [...parts.entries],
}))

export const incidents = query('incidents', ['horse', 'incidents'], (parts) => ({
  incidents: parts.incidents,
}))

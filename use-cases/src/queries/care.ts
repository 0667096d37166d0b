import { query } from '../query'

export const checks = query('checks', ['horse', 'checks'], (parts) => ({ checks: parts.checks }))

export const incidents = query('incidents', ['horse', 'incidents'], (parts) => ({
  incidents: parts.incidents,
}))

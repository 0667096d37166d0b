import { lineFrom } from '../line'
import { passportFrom } from '../passport'
import { query } from '../query'

export const horse = query('horse', ['horse'], (parts) => parts.horse)

export const arrivals = query('arrivals', ['horse', 'arrivals'], (parts) => ({ arrivals: parts.arrivals }))

export const blocks = query('blocks', ['horse', 'blocks'], (parts) => ({ blocks: parts.blocks }))

export const owner = query('owner', ['horse', 'owner'], (parts) => ({ owner: parts.owner }))

/** A horse's tracks, gates and plan on a day. */
export const line = query(
  'line',
  ['horse', 'facts', 'overrules', 'arranged', 'workDays', 'loadDays', 'judged'],
  (parts, { on }) => lineFrom({ ...parts, on }),
)

export const spots = query('spots', ['horse', 'spots'], (parts, { today }) => ({
  day: today,
  spots: parts.spots,
}))

export const worked = query('worked', ['horse', 'worked'], (parts, { today }) => ({
  day: today,
  rows: parts.worked,
}))

/** What a device takes along of a horse from where it left off. */
export const carry = query(
  'carry',
  [
    'horse',
    'carriedPage',
    'checks',
    'incidents',
    'attachments',
    'measurements',
    'entries',
    'confirmed',
    'overrules',
    'arranged',
    'rides',
    'block',
    'known',
  ],
  ({ carriedPage: { answers, more, voided }, ...parts }, { today, named }) => ({
    ...parts,
    day: today,
    answers,
    voided: voided.map(({ answerId }) => answerId),
    cursor: {
      answers: answers.at(-1)?.seq ?? named.answers,
      voidings: voided.at(-1)?.seq ?? named.voidings,
    },
    more,
  }),
)

export const report = query('report', ['report'], (parts) => parts.report)

export const passport = query(
  'passport',
  ['me', 'horse', 'program', 'views', 'facts', 'entries', 'incidents', 'measurements'],
  (parts, { on }) => passportFrom(parts, on),
)

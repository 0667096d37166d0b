import { addDays, count, daysBetween, type Day } from '../answer'
import { holdOn, INCIDENT_DAYS, latestCheck, SADDLE_CHECK_DAYS, type CheckKind, type Facts } from './stops'

/** Something beside the work that must be known before a horse goes out. */
export interface Notice {
  readonly tone: 'stop' | 'due' | 'soon'
  readonly about: CheckKind | 'incident'
  readonly words: string
}

/** Hooves are looked after every six to eight weeks (common practice, no source). */
const HOOF_DAYS = 42

/** Days ahead from which a date is worth a word. */
const SOON_DAYS = 7

const DUE_WORDS: Record<Exclude<CheckKind, 'veterinary-hold'>, string> = {
  mouth: 'The mouth is to be looked at',
  saddle: 'The saddle is to be checked',
  feet: 'The hooves are due',
  worming: 'Worming is due',
}

const dueIn = (words: string, due: Day, on: Day): Omit<Notice, 'about'>[] => {
  const days = daysBetween(on, due)
  if (days > SOON_DAYS) return []
  if (days > 0) return [{ tone: 'soon', words: `${words} in ${count(days, 'calendar day')}.` }]
  return [
    {
      tone: 'due',
      words: days === 0 ? `${words} today.` : `${words}, ${count(-days, 'calendar day')} late.`,
    },
  ]
}

const dueDay = (kind: keyof typeof DUE_WORDS, on: Day, until: Day | null): Day | null => {
  if (until !== null) return until
  if (kind === 'feet') return addDays(on, HOOF_DAYS)
  return kind === 'saddle' ? addDays(on, SADDLE_CHECK_DAYS) : null
}

const dueNotices = (facts: Facts, on: Day): Notice[] =>
  (Object.keys(DUE_WORDS) as (keyof typeof DUE_WORDS)[]).flatMap((about) => {
    const check = latestCheck(facts.checks, about, on)
    const due = check && dueDay(about, check.on, check.until)
    return due ? dueIn(DUE_WORDS[about], due, on).map((notice) => ({ about, ...notice })) : []
  })

const failedNotices = (facts: Facts, on: Day): Notice[] =>
  (['mouth', 'saddle', 'feet'] as const).flatMap((about) => {
    const check = latestCheck(facts.checks, about, on)
    const who = about === 'mouth' ? 'the vet' : about === 'saddle' ? 'the fitter' : 'the farrier'
    return check && !check.passed
      ? [{ about, tone: 'due' as const, words: `Not right on ${check.on} (${about}): ${who} first.` }]
      : []
  })

const holdNotices = (facts: Facts, on: Day): Notice[] => {
  const hold = holdOn(facts.checks, on)
  if (!hold) return []
  const until = hold.until === null ? 'until further word' : `to ${hold.until}`
  return [{ about: 'veterinary-hold', tone: 'stop', words: `The vet holds this horse ${until}.` }]
}

const incidentNotices = (facts: Facts, on: Day): Notice[] =>
  facts.incidents
    .filter((incident) => incident.on <= on && daysBetween(incident.on, on) < INCIDENT_DAYS)
    .map(({ kind, on: day, serious }) => ({
      about: 'incident' as const,
      tone: serious ? ('stop' as const) : ('due' as const),
      words: `A ${kind} on ${day}${serious ? `: the gates above it are shut to ${addDays(day, INCIDENT_DAYS)}` : ''}.`,
    }))

/** What checks and incidents say about a horse today, the gravest first. */
export const noticesOf = (facts: Facts, on: Day): readonly Notice[] => [
  ...holdNotices(facts, on),
  ...incidentNotices(facts, on),
  ...failedNotices(facts, on),
  ...dueNotices(facts, on),
]

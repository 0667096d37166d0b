import { count, daysBetween, type Day } from '../answer'
import { careCalendar, type CareDone, type CareKind, type CareRow } from '../care-calendar'
import {
  ageBounds,
  dueAfter,
  holdOn,
  INCIDENT_WORDS,
  latestCheck,
  type CheckKind,
  type Facts,
} from '../facts'
import type { Program } from '../program'
import { closingsOf } from './closings'
import { notItself, notItselfInWords } from './itself'
import { upperFirst } from './text'
import type { Views } from './track-key'

/** Something beside the work that must be known before a horse goes out. */
export interface Notice {
  readonly tone: 'stop' | 'due' | 'soon'
  readonly about: CheckKind | 'incident' | 'itself' | 'care' | 'measuring'
  readonly words: string
}

/** Days ahead from which a date is worth a word. */
const SOON_DAYS = 7

const DUE_WORDS: Record<Exclude<CheckKind, 'veterinary-hold' | 'vet-look'>, string> = {
  mouth: 'The mouth is to be looked at',
  saddle: 'The saddle is to be checked',
  feet: 'The hooves are due',
  worming: 'Worming is due',
}

const YEAR_DAYS = 365

/** "3 calendar days", and where nobody counts days any more "over two years". */
const howLate = (days: number): string => {
  const years = Math.floor(days / YEAR_DAYS)
  if (years === 0) return count(days, 'calendar day')
  return `over ${years === 1 ? 'a year' : years === 2 ? 'two years' : `${years} years`}`
}

const dueIn = (words: string, due: Day, on: Day): Omit<Notice, 'about'>[] => {
  const days = daysBetween(on, due)
  if (days > SOON_DAYS) return []
  if (days > 0) return [{ tone: 'soon', words: `${words} in ${count(days, 'calendar day')}.` }]
  return [
    {
      tone: 'due',
      words: days === 0 ? `${words} today.` : `${words}, ${howLate(-days)} late.`,
    },
  ]
}

const dueNotices = (facts: Facts, on: Day): Notice[] =>
  (Object.keys(DUE_WORDS) as (keyof typeof DUE_WORDS)[]).flatMap((about) => {
    const check = latestCheck(facts.checks, about, on)
    const due = check && dueAfter(facts, check)
    return due ? dueIn(DUE_WORDS[about], due, on).map((notice) => ({ about, ...notice })) : []
  })

const CARE: Readonly<Record<CareKind, { about: Notice['about']; words: string }>> = {
  hooves: { about: 'feet', words: 'The hooves are due' },
  'worm-count': { about: 'worming', words: 'A worm egg count is due' },
  teeth: { about: 'care', words: 'The teeth are due' },
  saddle: { about: 'care', words: 'The saddle is to be checked' },
  vaccination: { about: 'care', words: 'The vaccination is due' },
  hold: { about: 'care', words: 'The hold ends' },
  stretches: { about: 'care', words: 'Stretches are due' },
}

/** A check that sets no day of its own is care like any other. */
const careInChecks = ({ checks }: Facts): readonly CareDone[] =>
  checks.flatMap(({ kind, on, until }) => {
    const care = kind === 'feet' ? 'hooves' : kind === 'worming' ? 'worm-count' : null
    return care === null || until !== null ? [] : [{ care, on, minDays: null, maxDays: null }]
  })

/** A day that a check set stands until the care is done again. */
const isSetOtherwise = ({ kind, lastOn }: CareRow, { checks }: Facts): boolean =>
  checks.some(
    (check) =>
      check.kind === (kind === 'hooves' ? 'feet' : 'worming') &&
      ['hooves', 'worm-count'].includes(kind) &&
      check.until !== null &&
      check.on >= (lastOn ?? ''),
  )

const careIn = ({ kind, fromOn, byOn, says }: CareRow, on: Day): Notice[] => {
  const { about, words } = CARE[kind]
  if (says === 'late')
    return [{ about, tone: 'due', words: `${words}, ${howLate(daysBetween(byOn, on))} late.` }]
  if (says === 'due')
    return [{ about, tone: 'due', words: byOn > on ? `${words}, by ${byOn}.` : `${words} today.` }]
  return dueIn(words, fromOn, on).map((notice) => ({ about, ...notice }))
}

/** Care that comes round; what was never done here is not told, for nobody knows when it is due. */
const careNotices = (facts: Facts, on: Day): Notice[] =>
  careCalendar([...careInChecks(facts), ...(facts.care ?? [])], {
    on,
    ageLowMonths: ageBounds(facts, on)?.low ?? 0,
  })
    .filter((row) => row.says !== 'never' && !isSetOtherwise(row, facts))
    .flatMap((row) => careIn(row, on))

const measuringNotices = ({ unmeasuredDays }: Facts): Notice[] =>
  unmeasuredDays === undefined || unmeasuredDays === null
    ? []
    : [
        {
          about: 'measuring',
          tone: 'due',
          words: `It is due to be measured: last ${count(unmeasuredDays, 'calendar day')} ago.`,
        },
      ]

const failedNotices = (facts: Facts, on: Day): Notice[] =>
  (['mouth', 'saddle', 'feet'] as const).flatMap((about) => {
    const check = latestCheck(facts.checks, about, on)
    const who = about === 'mouth' ? 'the vet' : about === 'saddle' ? 'the fitter' : 'the farrier'
    return check && !check.passed
      ? [{ about, tone: 'due' as const, words: `Not right on ${check.on} (${about}): ${who} first.` }]
      : []
  })

const holdNotices = (facts: Facts, on: Day): Notice[] => {
  const hold = holdOn(facts, on)
  return hold ? [{ about: 'veterinary-hold', tone: 'stop', words: hold.words }] : []
}

/** A kick, a strike or a bite is told for so long, whoever was hurt. */
const CAUTION_DAYS = 30

const isCaution = ({ kind }: Facts['incidents'][number]): boolean => ['kick', 'strike', 'bite'].includes(kind)

/** What an incident still keeps shut, and what is only to be minded. */
const incidentNotices = ({ program, views, facts, on }: Noticed): Notice[] => {
  const shut = closingsOf(program, views, { facts, on }).filter(({ closes }) =>
    program.steps.some(({ key, rungs }) => rungs.some((_, i) => closes(key, i + 1))),
  )
  const told = new Set(shut.map(({ incident }) => incident))
  const minded = facts.incidents.filter((incident) => {
    const days = daysBetween(incident.on, on)
    return !told.has(incident) && days >= 0 && days < (isCaution(incident) ? CAUTION_DAYS : 3)
  })
  return [
    ...shut.map(({ words }) => ({ about: 'incident' as const, tone: 'stop' as const, words })),
    ...minded.map(({ kind, on: day }) => ({
      about: 'incident' as const,
      tone: 'due' as const,
      words: `${upperFirst(INCIDENT_WORDS[kind])} on ${day}${isCaution({ kind, on: day, step: null }) ? ': keep clear, and a second person at anything within reach' : ''}.`,
    })),
  ]
}

export interface Noticed {
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  readonly on: Day
}

const itselfNotices = ({ views }: Noticed): Notice[] => {
  const strange = notItself(views)
  return strange ? [{ about: 'itself', tone: 'stop', words: notItselfInWords(strange) }] : []
}

/** What the day so far, checks and incidents say about a horse today, the gravest first. */
export const noticesOf = (noticed: Noticed): readonly Notice[] => [
  ...holdNotices(noticed.facts, noticed.on),
  ...itselfNotices(noticed),
  ...incidentNotices(noticed),
  ...failedNotices(noticed.facts, noticed.on),
  ...dueNotices(noticed.facts, noticed.on),
  ...careNotices(noticed.facts, noticed.on),
  ...measuringNotices(noticed.facts),
]

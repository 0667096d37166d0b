import { count, daysBetween } from '../answer'
import { isLoad } from '../counters'
import {
  holdOn,
  isInFirstRides,
  isWeighed,
  monthsAtLeast,
  mostLoadDays,
  mouthStop,
  riderStop,
  saddleStop,
  strictestAge,
  type Confirmation,
  type Facts,
} from '../facts'
import type { Exposure } from '../program'
import { ageStop, closingsOf, CONFIRM_WORDS, sideViews, unmetNeeds, upperFirst } from '../readiness'
import { exposes, type Asking } from './ask'
import { leastMonthsFor } from './least-months'
import { reason, type PermitRule, type Reason } from './reason'

type Rule = (asking: Asking) => readonly Reason[]

/** What has to be pressed today, unless it was. */
export const toConfirm = (
  { facts }: Pick<Asking, 'facts'>,
  rule: PermitRule,
  { confirm, why = '' }: { confirm: Confirmation; why?: string },
): readonly Reason[] =>
  facts.confirmed.includes(confirm)
    ? []
    : [
        reason(rule, 'confirm', {
          words: `${upperFirst(CONFIRM_WORDS[confirm])}${why ? `: ${why}` : ''}.`,
          more: { confirm },
        }),
      ]

/** What a hold that leaves something leaves: standing to be handled, or walking in hand beside a person. */
const isLeft = (
  { step, exposed, program, rung }: Asking,
  leaves: 'nothing' | 'handling' | 'walking',
): boolean => {
  if (leaves === 'nothing' || isLoad(program, step.key, rung)) return false
  const risky = exposed.some((one) => !['reach', 'feet', 'hind-feet', 'halter', 'tied'].includes(one))
  return !risky && (step.effort === 'standing' || (leaves === 'walking' && step.effort === 'in-hand'))
}

const hold: Rule = (asking) => {
  const held = holdOn(asking.facts, asking.on)
  if (!held || isLeft(asking, held.leaves)) return []
  return [reason('veterinary-hold', 'no', { words: held.words, more: { until: held.until } })]
}

/** In such heat nothing loads legs or back; hands and handling are left. */
const heat: Rule = ({ facts, program, step, rung }) =>
  facts.heat === 'not-today' && isLoad(program, step.key, rung)
    ? [reason('heat', 'no', { words: 'Too hot today for the line, for tack at a pace and for a rider.' })]
    : []

/** Asleep in grow or rest but for feet, worming and a handling check. */
const block: Rule = (asking) =>
  asking.facts.offWork && !isLeft(asking, 'handling')
    ? [reason('block', 'no', { words: `${asking.facts.offWork} Feet and a handling check are left.` })]
    : []

const age: Rule = (asking) => {
  const least = leastMonthsFor(asking.exposed)
  const strictest = strictestAge(least, asking.facts.leastAges ?? [], (about) => exposes(asking, about))
  const words = strictest.months === 0 ? null : ageStop(asking.facts, asking.on, strictest)
  return words === null ? [] : [reason('age', 'no', { words })]
}

const incidents: Rule = ({ program, views, facts, on, step, rung }) =>
  closingsOf(program, views, { facts, on })
    .filter(({ closes }) => closes(step.key, rung))
    .map(({ words, until }) =>
      reason('incident', 'no', { words, more: { until: on < until ? until : null } }),
    )

const MOUNTED: readonly Exposure[] = ['mounted']

const mouth: Rule = (asking) => {
  const inABit = exposes(asking, 'bit') || (asking.facts.bitted === true && exposes(asking, ...MOUNTED))
  const words = inABit ? mouthStop(asking.facts, asking.on) : null
  return words === null ? [] : [reason('mouth-check', 'no', { words })]
}

const saddle: Rule = (asking) => {
  const words = exposes(asking, 'girth') ? saddleStop(asking.facts, asking.on) : null
  return words === null ? [] : [reason('saddle-check', 'no', { words })]
}

const needs: Rule = ({ program, views, facts, shown = [], step, rung }) =>
  unmetNeeds(program, views, { step, rung, known: [...(facts.known ?? []), ...shown] }).map(({ words }) =>
    reason('needs', 'no', { words: `First ${words}.` }),
  )

/** The one bears the other by their weights, or somebody says so. */
const rider: Rule = (asking) => {
  const { facts } = asking
  if (!exposes(asking, 'whole-weight', 'mounted')) return []
  if (!isWeighed(facts)) return toConfirm(asking, 'rider-share', { confirm: 'rider-share' })
  const words = riderStop(facts)
  return words === null ? [] : [reason('rider-share', 'no', { words })]
}

/** On it, or with a weight on it: a helmet, and a second person; after thirty rides one within call. */
const person: Rule = (asking) => {
  if (!exposes(asking, 'weight', 'mounted')) return []
  return [
    ...toConfirm(asking, 'helmet', { confirm: 'helmet' }),
    ...toConfirm(asking, 'helper', {
      confirm: 'helper',
      why: isInFirstRides(asking.facts) ? '' : 'within call is enough',
    }),
  ]
}

const loadDays: Rule = ({ facts, on, program, step, rung }) => {
  if (facts.loadDays === undefined || !isLoad(program, step.key, rung)) return []
  const most = mostLoadDays(facts, on)
  if (facts.loadDays < most || facts.confirmed.includes('load-day')) return []
  return [
    reason('load-days', 'confirm', {
      words: `${count(facts.loadDays, 'load day')} this week already; ${most} are enough at its age.`,
      more: { confirm: 'load-day' },
    }),
  ]
}

const isFirstTime = ({ views, step }: Asking): boolean =>
  sideViews(views, step).every(({ view }) => view.answers === 0)

const firstTack: Rule = (asking) =>
  exposes(asking, 'girthed-on') && isFirstTime(asking)
    ? toConfirm(asking, 'helper', {
        confirm: 'helper',
        why: `for the first ${asking.step.name.toLowerCase()}`,
      })
    : []

const rail: Rule = (asking) =>
  exposes(asking, 'tied-fast') ? toConfirm(asking, 'safe-rail', { confirm: 'safe-rail' }) : []

/** Ridden out: company, or on its own somebody who knows where and until when. */
const outside: Rule = (asking) => {
  if (!exposes(asking, 'out') || asking.facts.confirmed.includes('company')) return []
  return exposes(asking, 'alone')
    ? toConfirm(asking, 'company', { confirm: 'whereabouts' })
    : toConfirm(asking, 'company', { confirm: 'company' })
}

const FIRST_TIMES_AWAY = 3

const away: Rule = (asking) => {
  if (!exposes(asking, 'away')) return []
  const times = Math.max(0, ...sideViews(asking.views, asking.step).map(({ view }) => view.awayDays))
  return times < FIRST_TIMES_AWAY
    ? toConfirm(asking, 'helper', {
        confirm: 'helper',
        why: 'within call, the first three times away from home',
      })
    : []
}

const CAUTION_DAYS = 30

/** It kicked, struck or bit lately: nobody is within its reach alone. */
const withinReach: Rule = (asking) => {
  const { facts, on } = asking
  if (!exposes(asking, 'reach', 'lines')) return []
  const lately = facts.incidents.find(
    ({ kind, on: day }) =>
      ['kick', 'strike', 'bite'].includes(kind) && day <= on && daysBetween(day, on) < CAUTION_DAYS,
  )
  return lately
    ? toConfirm(asking, 'helper', { confirm: 'helper', why: `a ${lately.kind} on ${lately.on}` })
    : []
}

const STRONGER_SEXES = ['entire', 'colt']
const GROWN_COLT_MONTHS = 12

/** Why a horse wants the stronger cautions, or nothing. */
export const strongerBecause = (facts: Facts, on: string): string | null => {
  const isEntire =
    facts.sex === 'entire' ||
    (STRONGER_SEXES.includes(facts.sex ?? '') &&
      (monthsAtLeast(facts, on) ?? GROWN_COLT_MONTHS) >= GROWN_COLT_MONTHS)
  if (isEntire) return 'an entire'
  if (facts.feral || facts.kind === 'feral') return 'off a herd'
  return facts.kind === 'mule' ? 'a mule' : null
}

const isStrongMoment = (asking: Asking): boolean =>
  exposes(asking, 'hind-feet', 'loading') ||
  (exposes(asking, 'halter', 'tied', 'tied-fast', 'girthed-on') && isFirstTime(asking))

const kind: Rule = (asking) => {
  const why = strongerBecause(asking.facts, asking.on)
  return why !== null && isStrongMoment(asking) ? toConfirm(asking, 'kind', { confirm: 'helper', why }) : []
}

/** Everything that must be so on every day, but for the gates. */
export const RULES: readonly Rule[] = [
  hold,
  heat,
  block,
  age,
  incidents,
  mouth,
  saddle,
  rider,
  needs,
  kind,
  loadDays,
  person,
  firstTack,
  rail,
  outside,
  away,
  withinReach,
]

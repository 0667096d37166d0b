import { daysBetween, type Day, type Side } from '../answer'
import { isInFirstRides } from '../facts'
import { gatesGuarding, rungName, stepOf, type Gate } from '../program'
import {
  BEHIND_DAYS,
  closingsOf,
  gateVerdict,
  isToConfirm,
  newestBehind,
  sideViews,
  trackKey,
  VERDICT_WORDS,
  type GateVerdict,
} from '../readiness'
import { exposes, type Asking, type PermitHorse } from './ask'
import { reason, type PermitRule, type Reason } from './reason'

/** How a gate is open on a day: Go today, from work behind it lately, or not. */
export type Openness = 'go' | 'lately' | 'shut'

const isLatelyOpen = (
  { program, views, facts }: PermitHorse,
  gate: Gate,
  { verdict, on }: { verdict: GateVerdict; on: Day },
): boolean => {
  const behind = newestBehind(
    [...views.values()].map(({ behind }) => behind),
    gate.key,
  )
  if (behind === null || daysBetween(behind.last, on) > BEHIND_DAYS) return false
  if (verdict.tracks.some(({ state }) => state === 'slipped' || state === 'started' || state === 'new'))
    return false
  const { guards } = gate
  return !closingsOf(program, views, { facts, on }).some(
    ({ incident, hasClosed }) =>
      incident.on >= behind.went && guards.kind === 'step' && hasClosed(guards.step, guards.fromRung),
  )
}

const openness = (horse: PermitHorse, gate: Gate, on: Day): Openness => {
  const verdict = gateVerdict(horse.program, gate, { views: horse.views, facts: horse.facts, on })
  if (verdict.ready === 'go') return 'go'
  return isLatelyOpen(horse, gate, { verdict, on }) ? 'lately' : 'shut'
}

interface Opened extends Pick<PermitHorse, 'program' | 'facts'> {
  readonly on: Day
  readonly gates: Map<Gate, Openness>
}

const opened = new WeakMap<PermitHorse['views'], Opened>()

/** Whether what lies behind a gate may be worked on a day, its stops left aside; remembered with the views. */
export const opennessOf = (horse: PermitHorse, gate: Gate, on: Day): Openness => {
  const { program, facts, views } = horse
  const before = opened.get(views)
  const isSame = before?.program === program && before.facts === facts && before.on === on
  const known = isSame ? before : { program, facts, on, gates: new Map<Gate, Openness>() }
  if (!isSame) opened.set(views, known)
  const found = known.gates.get(gate) ?? openness(horse, gate, on)
  known.gates.set(gate, found)
  return found
}

/** A verdict as it would be once all that is only to be pressed on the day were pressed. */
export const butForPresses = ({
  stops,
  ready,
}: Pick<GateVerdict, 'stops' | 'ready'>): GateVerdict['verdict'] =>
  stops.every(isToConfirm) ? ready : 'stop'

/** Asks of a gate's own that must pass today before any mounted work, and have not. */
export const dueNow = ({ program, views }: PermitHorse, { dueToday }: Gate): readonly string[] =>
  dueToday.filter((key) => {
    const step = stepOf(program, key)
    const sides: readonly Side[] = step?.sided ? ['left', 'right'] : ['none']
    return step !== undefined && sides.some((side) => !views.get(trackKey(key, side))!.passedColdToday)
  })

/** What holds a gate that is shut, in one sentence. */
const shutWords = ({ name, ready, tracks, due }: GateVerdict, asking: Asking): string => {
  const open = tracks.filter(({ holds }) => !holds)
  const neverAsked = open.find(({ step, rung }) => {
    const known = stepOf(asking.program, step)
    return known !== undefined && sideViews(asking.views, known).some(({ view }) => view.hardest < rung)
  })
  if (ready === 'check-first')
    return `${name} first: ${VERDICT_WORDS[ready].toLowerCase()}, ${[...new Set(due.map((one) => one.name.toLowerCase()))].slice(0, 4).join(', ')}.`
  if (neverAsked) {
    const step = stepOf(asking.program, neverAsked.step)
    const side = neverAsked.side === 'none' ? '' : `, ${neverAsked.side}`
    return `${name} first: ${neverAsked.name.toLowerCase()} was never asked at “${step ? rungName(step, neverAsked.rung) : neverAsked.rung}”${side}.`
  }
  const held = tracks.length - open.length
  return `${name} first: ${held} of ${tracks.length} hold; weakest ${open
    .slice(0, 2)
    .map(({ name: one, side }) => `${one.toLowerCase()}${side === 'none' ? '' : `, ${side}`}`)
    .join(' and ')}.`
}

const fromStop = ({ rule, words }: GateVerdict['stops'][number], gate: Gate): Reason =>
  reason(rule as PermitRule, 'no', { words, more: { gate: gate.key } })

const gateReasons = (asking: Asking, gate: Gate): readonly Reason[] => {
  const { program, views, facts, on } = asking
  const verdict = gateVerdict(program, gate, { views, facts, on })
  // What only has to be pressed is asked for by the rung itself.
  const stops = verdict.stops
    .filter((stop) => !isToConfirm(stop) && stop.rule !== 'incident' && stop.rule !== 'rider-share')
    .map((stop) => ({ ...fromStop(stop, gate), gate: null }))
  const openness = opennessOf(asking, gate, on)
  if (openness === 'shut') {
    const words = shutWords(verdict, asking)
    const over = facts.overruled?.find((one) => one.gate === gate.key)
    return [
      ...stops,
      over
        ? reason('gate', 'confirm', {
            words: `${words} Overruled today by ${over.byName}.`,
            more: { gate: gate.key },
          })
        : reason('gate', 'no', { words, more: { gate: gate.key } }),
    ]
  }
  const due = isInFirstRides(facts) && exposes(asking, 'mounted') ? dueNow(asking, gate) : []
  if (due.length === 0) return stops
  const names = due.map((key) => stepOf(program, key)!.name.toLowerCase()).join(', ')
  return [
    ...stops,
    reason('gate', 'confirm', { words: `Today’s first asks first: ${names}.`, more: { gate: gate.key } }),
  ]
}

/** What the gates say that guard a rung. */
export const gates = (asking: Asking): readonly Reason[] =>
  gatesGuarding(asking.program, asking.step.key, asking.rung).flatMap((gate) => gateReasons(asking, gate))

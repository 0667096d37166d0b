import type { Day } from '../answer'
import { holdOn } from '../facts'
import type { Gate } from '../program'
import { closingsOf, gateVerdict, isToConfirm, sideViews, stepState, VERDICT_WORDS } from '../readiness'
import { stepOf } from '../program'
import type { PermitHorse } from './ask'
import { butForPresses, opennessOf } from './gates'
import type { PermitRule } from './reason'

/** Something a horse may not do today: what it is, why, and what opens it. */
export interface Shut {
  readonly what: string
  readonly rule: PermitRule
  readonly gate: string | null
  readonly because: string
  readonly opens: string
}

const held = ({ facts }: PermitHorse, on: Day): readonly Shut[] => {
  const hold = holdOn(facts, on)
  if (!hold) return []
  const what = {
    nothing: 'All work',
    handling: 'All but handling',
    walking: 'All but handling and walking in hand',
  }
  const opens = hold.until === null ? 'The vet’s word.' : `The vet’s word, or the day after ${hold.until}.`
  return [{ what: what[hold.leaves], rule: 'veterinary-hold', gate: null, because: hold.words, opens }]
}

const asleep = ({ facts }: PermitHorse): readonly Shut[] =>
  facts.offWork
    ? [
        {
          what: 'All but feet and a handling check',
          rule: 'block',
          gate: null,
          because: facts.offWork,
          opens: 'Close this block and open the next.',
        },
      ]
    : []

const afterIncidents = ({ program, views, facts }: PermitHorse, on: Day): readonly Shut[] =>
  closingsOf(program, views, { facts, on }).flatMap((closing) => {
    const steps = program.steps.filter(({ key, rungs }) => rungs.some((_, i) => closing.closes(key, i + 1)))
    if (steps.length === 0) return []
    const names = steps.slice(0, 3).map(({ name }) => name.toLowerCase())
    const more = steps.length - names.length
    const what = `${names.join(', ')}${more > 0 ? ` and ${more} more` : ''}`
    const opens = closing.proofs.map(({ step }) => stepOf(program, step)?.name.toLowerCase() ?? step)
    return [
      {
        what: what.charAt(0).toUpperCase() + what.slice(1),
        rule: 'incident' as const,
        gate: null,
        because: closing.words,
        opens: [
          ...(on < closing.until ? [`From ${closing.until}`] : []),
          ...(opens.length > 0 ? [`first asks of ${opens.join(', ')} that pass`] : []),
        ]
          .join(', ')
          .concat('.'),
      },
    ]
  })

/** The next gate before the horse: one not gone through yet, or one that has fallen shut. */
const nextGate = (horse: PermitHorse, on: Day): Gate | undefined => {
  const { program, views } = horse
  return program.gates.find((gate) => {
    if (gate.ticked || gate.guards.kind === 'event') return false
    if (opennessOf(horse, gate, on) !== 'shut') return false
    const step = stepOf(program, gate.guards.step)
    const isThrough = step !== undefined && ['solid', 'rusty'].includes(stepState(sideViews(views, step)))
    return !isThrough || (gate.exposures ?? []).length > 0
  })
}

const WEAKEST = 3

const atGate = (horse: PermitHorse, on: Day): readonly Shut[] => {
  const gate = nextGate(horse, on)
  if (!gate) return []
  const verdict = gateVerdict(horse.program, gate, { views: horse.views, facts: horse.facts, on })
  const stops = verdict.stops.filter((stop) => !isToConfirm(stop))
  const holds = verdict.tracks.filter((track) => track.holds).length
  const weak = [
    ...new Set(verdict.tracks.filter((track) => !track.holds).map(({ name }) => name.toLowerCase())),
  ]
  const due = [...new Set(verdict.due.map(({ name }) => name.toLowerCase()))]
  const state = VERDICT_WORDS[butForPresses(verdict)]
  const opens = [
    ...stops.map(({ words }) => words.replace(/\.$/, '')),
    ...(verdict.ready === 'check-first' ? [`first asks today: ${due.join(', ')}`] : []),
    ...(verdict.ready === 'not-yet' && weak.length > 0
      ? [
          `${weak.slice(0, WEAKEST).join(', ')}${weak.length > WEAKEST ? ` and ${weak.length - WEAKEST} more` : ''} to hold`,
        ]
      : []),
  ]
  return [
    {
      what: gate.name,
      rule: 'gate',
      gate: gate.key,
      because: `${state}: ${holds} of ${verdict.tracks.length} skills hold.`,
      opens: `${opens.join('; ').replace(/^./, (first) => first.toUpperCase())}.`,
    },
  ]
}

/** What is shut to a horse today, the gravest first, and the next gate: said in one place on every page of it. */
export const shutToday = (horse: PermitHorse, on: Day): readonly Shut[] => {
  const all = held(horse, on)
  // Under a hold that leaves nothing, what else is shut is of no interest.
  if (all.some(({ what }) => what === 'All work')) return all
  return [...all, ...asleep(horse), ...afterIncidents(horse, on), ...atGate(horse, on)]
}

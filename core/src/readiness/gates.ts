import { count, daysBetween, type Day, type PlaceByHorse, type Side } from '../answer'
import { cardFor, rungNeeded, sidesOf, stepOf, type Gate, type Program, type Step } from '../program'
import type { Facts } from '../facts'
import { chancesAt, type TrackView } from './judge'
import { stepFor, trackMeets } from './needs'
import { notItself, notItselfInWords } from './itself'
import { missesInWords, missingInWords, sideKnownFrom } from './reasons'
import { CONFIRM_WORDS, isToConfirm, stopsOf, type Stop } from './stops'
import { trackKey, type Views } from './track-key'

export type Verdict = 'go' | 'check-first' | 'not-yet' | 'stop'

/** One track that a gate looks at, and what it must be. */
export interface GateTrack {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly must: 'solid' | 'met'
  readonly holds: boolean
  readonly chance: number
  readonly calmChance: number
  readonly state: TrackView['state']
  readonly words: string
  /** What is missing by rule, where it must be Solid and is not; otherwise empty. */
  readonly missing: string
}

/** A cold ask to run now, on one track. */
export interface DueAsk {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly asks: number
  readonly places: readonly PlaceByHorse[]
  readonly reason: string
}

/** The judgement of one gate on one day; it ends with the day. */
export interface GateVerdict {
  readonly gate: string
  readonly name: string
  readonly day: Day
  readonly verdict: Verdict
  /** How its tracks stand, whatever its stops say. */
  readonly ready: Exclude<Verdict, 'stop'>
  readonly sentence: string
  readonly stops: readonly Stop[]
  readonly tracks: readonly GateTrack[]
  readonly due: readonly DueAsk[]
  /** Σ (1 − chance × calm chance): a slight overstatement, grade and calm taken as independent. */
  readonly likelyMisses: number
  readonly likelyMissesWords: string
  readonly weakest: readonly GateTrack[]
  readonly kit: readonly string[]
  readonly cautions: readonly string[]
}

interface Looked extends GateTrack {
  readonly view: TrackView
}

const looked = (
  views: Views,
  step: Step,
  { side, rung, must, on }: { side: Side; rung: number; must: GateTrack['must']; on: Day },
): Looked => {
  const view = views.get(trackKey(step.key, side))!
  const { chance, calmChance } = chancesAt(view, rung)
  return {
    step: step.key,
    name: step.name,
    side,
    rung,
    must,
    holds: must === 'solid' ? view.state === 'solid' : trackMeets(view, rung),
    chance,
    calmChance,
    state: view.state,
    words: sideKnownFrom(side, view, on),
    missing: must === 'solid' ? missingInWords(view) : '',
    view,
  }
}

const tickedTracks = (
  program: Program,
  views: Views,
  { ticked, on }: { ticked: readonly string[]; on: Day },
): readonly Looked[] =>
  program.steps
    .filter(({ key }) => ticked.includes(key))
    .flatMap((step) =>
      sidesOf(step).map((side) => looked(views, step, { side, rung: step.requiredRung, must: 'solid', on })),
    )

const tracksOf = (
  program: Program,
  gate: Gate,
  { views, facts, on }: { views: Views; facts: Facts; on: Day },
): readonly Looked[] => {
  if (gate.ticked) return tickedTracks(program, views, { ticked: facts.handOver, on })
  const solid = gate.solid.flatMap((need) => {
    const step = stepFor(program, views, need)
    return step
      ? sidesOf(step).map((side) =>
          looked(views, step, { side, rung: rungNeeded(need, step), must: 'solid', on }),
        )
      : []
  })
  const met = gate.met.flatMap((need) => {
    const step = stepFor(program, views, need)
    return step
      ? sidesOf(step).map((side) =>
          looked(views, step, { side, rung: rungNeeded(need, step), must: 'met', on }),
        )
      : []
  })
  return [...solid, ...met]
}

const isNotYet = ({ must, holds, view }: Looked): boolean =>
  must === 'met' ? !holds : view.state !== 'solid' && !(view.state === 'rusty' && view.asksNeeded !== null)

const dueReason = (gate: Gate, { must, step, view }: Looked, on: Day): string | null => {
  if (gate.dueToday.includes(step) && !view.passedColdToday) return 'its first ask must pass today'
  if (must === 'solid' && view.state === 'rusty') return 'Rusty: only time has worn it'
  if (view.lastDay === null) return null
  const days = daysBetween(view.lastDay, on)
  return days >= gate.freshDays ? `not asked for ${count(days, 'calendar day')}` : null
}

const dueAsk = (gate: Gate, track: Looked, on: Day): DueAsk | null => {
  const reason = dueReason(gate, track, on)
  if (reason === null) return null
  const { step, name, side, rung, view } = track
  const places = track.must === 'solid' ? view.placesMissing : []
  const asks = track.must === 'solid' ? Math.max(1, view.asksNeeded ?? 1) : 1
  return { step, name, side, rung, asks, places, reason }
}

const guarded = ({ guards }: Gate, program: Program): string =>
  guards.kind === 'event' ? guards.event : (stepOf(program, guards.step)?.name.toLowerCase() ?? guards.step)

/** What holds for good first, then all that only has to be confirmed today in one breath. */
const stopSentence = (stops: readonly Stop[]): string => {
  const toConfirm = stops.filter(isToConfirm)
  const others = stops.filter((stop) => !isToConfirm(stop)).map(({ words }) => words)
  const waits =
    toConfirm.length > 0
      ? [`Not confirmed today: ${toConfirm.map(({ rule }) => CONFIRM_WORDS[rule]).join(', ')}.`]
      : []
  return [...others, ...waits].join(' ')
}

const sentenceFor = (
  verdict: Verdict,
  gate: Gate,
  {
    program,
    tracks,
    due,
    stops,
  }: { program: Program; tracks: readonly Looked[]; due: readonly DueAsk[]; stops: readonly Stop[] },
): string => {
  const held = tracks.filter(({ holds }) => holds).length
  switch (verdict) {
    case 'stop':
      return stopSentence(stops)
    case 'not-yet':
      return tracks.length === 0
        ? 'Nothing is ticked: say what this horse is to leave with.'
        : `${held} of ${tracks.length} skills hold.`
    case 'check-first':
      return `${count(due.length, 'short check')} to run first, ${count(
        due.reduce((sum, { asks }) => sum + asks, 0),
        'ask',
      )} in all.`
    case 'go':
      return `Go for ${guarded(gate, program)}, today only. All ${tracks.length} skills hold.`
  }
}

/** What to mind when a horse leaves. */
const LEAVING = {
  kit: ['its papers', 'this list, printed'],
  cautions: [
    'Say what it has not learnt as plainly as what it has.',
    'Local rules on transport and animal welfare come first.',
  ],
}

const weakestThree = (tracks: readonly Looked[]): readonly Looked[] =>
  [...tracks].sort((a, b) => a.chance * a.calmChance - b.chance * b.calmChance).slice(0, 3)

const withoutView = ({ view: _view, ...track }: Looked): GateTrack => track

const judgeGate = (
  program: Program,
  gate: Gate,
  { views, facts, on }: { views: Views; facts: Facts; on: Day },
): GateVerdict => {
  const stops = stopsOf({ program, gate, views, facts, on })
  const tracks = tracksOf(program, gate, { views, facts, on })
  const due = tracks.map((track) => dueAsk(gate, track, on)).filter((ask) => ask !== null)
  const isShut = tracks.length === 0 || tracks.some(isNotYet)
  const strange = notItself(views)
  const ready = isShut ? 'not-yet' : due.length > 0 || strange ? 'check-first' : 'go'
  const verdict = stops.length > 0 ? 'stop' : ready
  const likelyMisses = tracks.reduce((sum, { chance, calmChance }) => sum + (1 - chance * calmChance), 0)
  const card = gate.ticked
    ? LEAVING
    : cardFor(gate.guards.kind === 'step' ? gate.guards.step : gate.guards.after)
  return {
    gate: gate.key,
    name: gate.name,
    day: on,
    verdict,
    ready,
    sentence:
      verdict === 'check-first' && strange
        ? notItselfInWords(strange)
        : sentenceFor(verdict, gate, { program, tracks, due, stops }),
    stops,
    tracks: tracks.map(withoutView),
    due,
    likelyMisses,
    likelyMissesWords: missesInWords(likelyMisses, tracks.length),
    weakest: weakestThree(tracks).map(withoutView),
    kit: card.kit,
    cautions: card.cautions,
  }
}

interface LastVerdict {
  readonly program: Program
  readonly facts: Facts
  readonly on: Day
  readonly verdict: GateVerdict
}

/** A plan asks a gate several times over; the same views with the same facts give the same verdict. */
const judged = new WeakMap<Views, Map<Gate, LastVerdict>>()

/** The verdict of one gate: Stop, Not yet, Check first or Go, the first that fits, with its reasons. */
export const gateVerdict = (
  program: Program,
  gate: Gate,
  { views, facts, on }: { views: Views; facts: Facts; on: Day },
): GateVerdict => {
  const ofViews = judged.get(views) ?? new Map<Gate, LastVerdict>()
  judged.set(views, ofViews)
  const known = ofViews.get(gate)
  if (known?.program === program && known.facts === facts && known.on === on) return known.verdict
  const verdict = judgeGate(program, gate, { views, facts, on })
  ofViews.set(gate, { program, facts, on, verdict })
  return verdict
}

export const gateVerdicts = (
  program: Program,
  views: Views,
  { facts, on }: { facts: Facts; on: Day },
): readonly GateVerdict[] => program.gates.map((gate) => gateVerdict(program, gate, { views, facts, on }))

export const VERDICT_WORDS: Record<Verdict, string> = {
  go: 'Go',
  'check-first': 'Check first',
  'not-yet': 'Not yet',
  stop: 'Stop',
}

import { needsFrom } from './catalogue'
import type { Exposure } from './exposure'
import type { NeedRef } from './step'

/** Rules that close a gate outright; none can be overruled. */
export type StopRule =
  | 'safe-rail'
  | 'mouth-check'
  | 'saddle-check'
  | 'veterinary-hold'
  | 'age'
  | 'incident'
  | 'helper'
  | 'helmet'
  | 'company'
  | 'rider-share'

/** What a gate closes: a step from a rung on, with its post hung before it, or an event after a step. */
export type Guarded =
  | { readonly kind: 'step'; readonly step: string; readonly fromRung: number }
  | { readonly kind: 'event'; readonly event: string; readonly after: string }

/** A gate guards a step: beyond it the horse or the person can be hurt if the judgement is wrong. */
export interface Gate {
  readonly key: string
  readonly name: string
  readonly guards: Guarded
  /** What it guards wherever it stands on the path: a rung that exposes to all of one of these sets. */
  readonly exposures?: readonly (readonly Exposure[])[]
  /** Steps or roles that must be Solid, on every side. */
  readonly solid: readonly NeedRef[]
  /** Its steps are not fixed: the yard ticks them for each horse. */
  readonly ticked: boolean
  /** Needs that must be met. */
  readonly met: readonly NeedRef[]
  readonly stops: readonly StopRule[]
  /** Least age in months, where the stop `age` is among the stops. */
  readonly leastMonths?: number
  /** Steps whose cold pass is due on the day itself. */
  readonly dueToday: readonly string[]
  /** Days without an answer after which a track is due again. */
  readonly freshDays: number
}

interface GateText {
  readonly exposures?: readonly (readonly Exposure[])[]
  readonly solid?: string
  readonly met?: string
  readonly stops?: readonly StopRule[]
  readonly leastMonths?: number
  readonly dueToday?: readonly string[]
  readonly freshDays?: number
  readonly ticked?: true
}

const FRESH_DAYS = 14

const stepFrom = (text: string): Guarded => {
  const [step, fromRung] = text.split('@') as [string, string | undefined]
  return { kind: 'step', step, fromRung: Number(fromRung ?? 1) }
}

const gate = (
  key: string,
  name: string,
  { guards, text }: { guards: string | Guarded; text: GateText },
): Gate => {
  return {
    key,
    name,
    guards: typeof guards === 'string' ? stepFrom(guards) : guards,
    exposures: text.exposures ?? [],
    solid: needsFrom(text.solid ?? ''),
    ticked: text.ticked ?? false,
    met: needsFrom(text.met ?? ''),
    stops: text.stops ?? [],
    ...(text.leastMonths === undefined ? {} : { leastMonths: text.leastMonths }),
    dueToday: text.dueToday ?? [],
    freshDays: text.freshDays ?? FRESH_DAYS,
  }
}

const NECK_STEPS = ['bend', 'yield-hind', 'stand', 'weight-in-stirrup']

/** The gates on the path, in its order. */
export const GATES: readonly Gate[] = [
  gate('halter', 'Halter', {
    guards: 'halter-on@4',
    text: { met: 'first-touch@2 head-rub role:stand-caught' },
  }),
  gate('farrier', 'Farrier', {
    guards: { kind: 'event', event: "the farrier's first visit", after: 'foot-hind' },
    text: { solid: 'foot-front foot-hind lead-up', met: 'stand@2' },
  }),
  gate('tie-fast', 'Tie fast', {
    guards: 'tie@3',
    text: {
      exposures: [['tied-fast']],
      solid: 'give-to-halter lead-up step-back',
      met: 'yield-hind@2 tie@2',
      stops: ['safe-rail'],
    },
  }),
  gate('first-bit', 'First bit', {
    guards: 'give-to-bit',
    text: {
      exposures: [['contact']],
      solid: 'carry-bit bend step-back',
      stops: ['mouth-check', 'age'],
      leastMonths: 30,
    },
  }),
  gate('first-saddle', 'First saddle', {
    guards: 'surcingle',
    text: {
      exposures: [['girth']],
      solid: 'girth-rope pad-blanket rope-over yield-hind send stop-on-circle',
      met: 'flag@3',
      stops: ['saddle-check', 'age'],
      leastMonths: 30,
    },
  }),
  // Part of a weight in the stirrup from 30 months; a whole person is bound to 36 by what the rung exposes to.
  gate('first-weight', 'First weight', {
    guards: 'weight-in-stirrup@3',
    text: {
      exposures: [['weight']],
      solid: 'person-above stand come-to-block yield-hind bend',
      stops: ['helper', 'helmet', 'veterinary-hold', 'age', 'incident'],
      leastMonths: 30,
    },
  }),
  gate('first-time-up', 'First time up', {
    guards: 'lie-over',
    text: {
      exposures: [['mounted'], ['whole-weight', 'girth']],
      solid:
        'role:go-loose flag person-above yield-hind yield-shoulder bend send stop-on-circle hind-in-motion turn-on-line step-back stand gap come-to-block saddle-on saddle-wear saddle-move weight-in-stirrup',
      stops: ['helper', 'helmet', 'rider-share', 'veterinary-hold', 'age', 'incident'],
      leastMonths: 36,
      dueToday: NECK_STEPS,
    },
  }),
  gate('off-the-lead', 'Off the lead', {
    guards: 'ride-go-stop',
    text: {
      exposures: [['off-lead']],
      solid: 'led-ride ride-perimeter-led stand-to-mount',
      met: 'ride-bend@2',
      stops: ['helper', 'helmet', 'rider-share', 'veterinary-hold', 'saddle-check', 'age', 'incident'],
      leastMonths: 36,
      dueToday: NECK_STEPS,
      freshDays: 7,
    },
  }),
  gate('first-canter', 'First canter', {
    guards: 'ride-canter',
    text: {
      exposures: [['canter', 'mounted']],
      solid: 'ride-go-stop',
      met: 'ride-steer@2 saddle-move@5',
      stops: ['helmet', 'veterinary-hold', 'saddle-check', 'age', 'incident'],
      leastMonths: 36,
      freshDays: 7,
    },
  }),
  gate('ride-out', 'Ride out', {
    guards: 'ride-out',
    text: {
      exposures: [['out']],
      solid: 'ride-bend ride-go-stop ride-steer ride-perimeter',
      met: 'strange-places@3',
      stops: ['company', 'helmet', 'veterinary-hold', 'saddle-check', 'incident'],
    },
  }),
  gate('first-fence', 'First fence', {
    guards: 'ride-small-fence',
    text: {
      exposures: [['jump']],
      solid: 'ride-poles ride-canter',
      stops: ['helmet', 'veterinary-hold', 'saddle-check', 'age', 'incident'],
      leastMonths: 48,
    },
  }),
  gate('hand-over', 'Hand over', {
    guards: { kind: 'event', event: 'leaving the yard', after: 'ride-small-fence' },
    text: { ticked: true, stops: ['veterinary-hold'], freshDays: 21 },
  }),
]

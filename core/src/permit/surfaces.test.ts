import { describe, expect, it } from 'vitest'
import { heldLog, inOrder, viewsFrom } from '../../tests/held'
import { seeded } from '../../tests/logs'
import { addDays, PLAIN, type Calm, type Grade } from '../answer'
import { arrivalCheck, type ArrivalAnswer } from '../arrival'
import { CONFIRMATIONS, HURT, INCIDENT_KINDS, type Check, type Facts, type Incident } from '../facts'
import { gateChecks, ORDINARY, planSession } from '../plan'
import { SCHOOLS, sidesOf, type Program } from '../program'
import { gateVerdicts, type TrackedAnswer } from '../readiness'
import { recheckSheet } from '../recheck'
import type { PermitHorse } from './ask'
import { offersFor, stepsOffered } from './offers'
import { isPermitted, permit } from './permit'

const ON = '2026-06-20'
const LOGS = 40
const HORSES_A_LOG = 50

type Draw = () => number

const whole = (draw: Draw, from: number, to: number): number => from + Math.floor(draw() * (to - from + 1))
const one = <T>(draw: Draw, list: readonly T[]): T => list[whole(draw, 0, list.length - 1)]!
const some = <T>(draw: Draw, list: readonly T[], share: number): T[] => list.filter(() => draw() < share)
const dayAgo = (draw: Draw, most: number): string => addDays(ON, -whole(draw, 0, most))

/** Anything somebody may have logged: a path held up to some place with holes in it, and wild answers all over. */
const randomLog = (draw: Draw, program: Program): TrackedAnswer[] => {
  const upTo = whole(draw, 0, program.steps.length)
  const without = program.steps.filter((_, i) => i >= upTo || draw() < 0.06).map(({ key }) => key)
  const grade = one(draw, [0, 1] as const)
  const held = heldLog({ program, without, grade, lastDay: dayAgo(draw, one(draw, [2, 20, 800])) })
  const wild = Array.from({ length: whole(draw, 0, 40) }, (): TrackedAnswer => {
    const step = one(draw, program.steps)
    return {
      ...PLAIN,
      step: step.key,
      side: one(draw, sidesOf(step)),
      day: dayAgo(draw, 30),
      rung: whole(draw, 1, step.rungs.length),
      grade: whole(draw, 0, 4) as Grade,
      calm: one(draw, [0, 1, 2, null]) as Calm | null,
    }
  })
  return [...held, ...wild].sort((a, b) => a.day.localeCompare(b.day))
}

const randomCheck = (draw: Draw): Check => ({
  kind: one(draw, ['mouth', 'saddle', 'saddle', 'mouth', 'veterinary-hold', 'vet-look', 'feet'] as const),
  on: dayAgo(draw, 400),
  until: draw() < 0.7 ? addDays(ON, -whole(draw, -40, 400)) : null,
  passed: draw() < 0.7,
  leaves: one(draw, ['nothing', 'handling', 'walking', null] as const),
})

const randomIncident = (draw: Draw, program: Program): Incident => {
  const step = one(draw, program.steps)
  return {
    kind: one(draw, INCIDENT_KINDS),
    on: dayAgo(draw, 60),
    step: draw() < 0.8 ? step.key : null,
    rung: draw() < 0.5 ? whole(draw, 1, step.rungs.length) : null,
    mounted: draw() < 0.5,
    fell: draw() < 0.3,
    hurt: one(draw, HURT),
  }
}

const randomFacts = (draw: Draw, program: Program): Facts => {
  const low = whole(draw, 0, 80)
  return inOrder(ON, {
    ...(draw() < 0.5 ? {} : { born: draw() < 0.3 ? null : addDays(ON, -whole(draw, 0, 3000)) }),
    age:
      draw() < 0.5 ? null : { lowMonths: low, highMonths: low + whole(draw, 0, 30), on: dayAgo(draw, 300) },
    sex: one(draw, ['mare', 'gelding', 'entire', 'colt', 'filly']),
    kind: one(draw, ['horse', 'mule', 'pony']),
    feral: draw() < 0.2,
    bitted: draw() < 0.3,
    ...(draw() < 0.5 ? {} : { checks: Array.from({ length: whole(draw, 0, 4) }, () => randomCheck(draw)) }),
    incidents:
      draw() < 0.6 ? [] : Array.from({ length: whole(draw, 1, 3) }, () => randomIncident(draw, program)),
    confirmed: some(draw, CONFIRMATIONS, 0.5),
    offWork: draw() < 0.05 ? 'Rests: left to grow.' : null,
    rides: whole(draw, 0, 60),
    loadDays: whole(draw, 0, 6),
    overruled: draw() < 0.1 ? [{ gate: one(draw, program.gates).key, byName: 'Ylva Tarn' }] : [],
    known:
      draw() < 0.2
        ? some(draw, program.steps, 0.2).map(({ key, requiredRung }) => ({
            step: key,
            rung: requiredRung,
            on: ON,
          }))
        : [],
  })
}

interface Asked {
  readonly surface: string
  readonly step: string
  readonly rung: number
}

const planned = (horse: PermitHorse, draw: Draw): Asked[] => {
  const { program, views, facts } = horse
  const pinned = draw() < 0.3 ? [{ step: one(draw, program.steps).key, at: 0 }] : []
  const { bursts } = planSession(program, views, {
    facts,
    on: ON,
    asked: {
      outlook: { ...ORDINARY, helper: draw() < 0.5, loadDays: facts.loadDays ?? 0 },
      wishes: { pinned, without: [] },
    },
  })
  return bursts.flatMap(({ step, sides, lightAsk }) => [
    ...sides.map(({ rung }) => ({ surface: 'plan', step, rung })),
    ...(lightAsk ? [{ surface: 'light ask', step: lightAsk.step, rung: lightAsk.rung }] : []),
  ])
}

const atGates = (horse: PermitHorse): Asked[] =>
  gateVerdicts(horse.program, horse.views, { facts: horse.facts, on: ON }).flatMap((verdict) =>
    gateChecks(horse, verdict, ON).flatMap(({ step, sides }) =>
      sides.map(({ rung }) => ({ surface: 'gate checks', step, rung })),
    ),
  )

/** Goes on with a check until it ends, answered as it comes; what was shown counts for what comes after. */
const onArrival = (horse: PermitHorse, draw: Draw): Asked[] => {
  const answers: ArrivalAnswer[] = []
  const asked: Asked[] = []
  for (;;) {
    const { next, known } = arrivalCheck({ ...horse, handled: true }, answers, ON)
    if (!next) return asked
    const shown = known.map(({ step, rung }) => ({ step, rung, on: ON }))
    const facts = { ...horse.facts, known: [...(horse.facts.known ?? []), ...shown] }
    const said = permit({ ...horse, facts }, next, ON)
    if (!isPermitted(said)) asked.push({ surface: 'arrival', step: next.step, rung: next.rung })
    answers.push({ ...next, grade: draw() < 0.9 ? 1 : 3, calm: 0 })
  }
}

const rechecked = (horse: PermitHorse): Asked[] =>
  recheckSheet(horse, horse.views, ON).asks.map(({ step, rung }) => ({ surface: 're-check', step, rung }))

const offeredInPen = (horse: PermitHorse, draw: Draw): Asked[] => {
  const step = one(draw, horse.program.steps)
  const { instead, bigger, smaller } = offersFor(
    horse,
    { step: step.key, rung: whole(draw, 1, step.rungs.length) },
    ON,
  )
  return [
    ...[instead, bigger, smaller]
      .filter((rung) => rung !== null)
      .map((rung) => ({ surface: 'pen', step: step.key, rung })),
    ...stepsOffered(horse, ON).map((key) => ({ surface: 'picker', step: key, rung: 1 })),
  ]
}

describe('whatever a horse is and whatever was logged of it', () => {
  it(
    `proposes nothing that the permit refuses, on any surface (${LOGS * HORSES_A_LOG} random horses)`,
    { timeout: 240_000 },
    () => {
      const draw = seeded(20260620)
      let asks = 0
      const surfaces = new Set<string>()
      for (let log = 0; log < LOGS; log++) {
        const program = one(draw, SCHOOLS)
        const answers = randomLog(draw, program)
        const views = viewsFrom(answers, ON, program)
        for (let nth = 0; nth < HORSES_A_LOG; nth++) {
          const horse: PermitHorse = { program, views, facts: randomFacts(draw, program) }
          const proposed = [
            ...planned(horse, draw),
            ...atGates(horse),
            ...rechecked(horse),
            ...offeredInPen(horse, draw),
          ]
          const refused = proposed.filter((ask) => !isPermitted(permit(horse, ask, ON)))
          expect([log, nth, refused, onArrival(horse, draw)]).toEqual([log, nth, [], []])
          asks += proposed.length
          for (const { surface } of proposed) surfaces.add(surface)
        }
      }
      expect(surfaces).toEqual(new Set(['plan', 'light ask', 'gate checks', 're-check', 'pen', 'picker']))
      expect(asks).toBeGreaterThan(20_000)
    },
  )
})

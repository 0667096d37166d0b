import { PLAIN } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { reliabilityOf, replayPredicting, talliesOf } from '@still-pine/core/evidence'
import { planSession } from '@still-pine/core/plan'
import { FEET_FIRST, stepOf } from '@still-pine/core/program'
import {
  gateVerdicts,
  NO_FACTS,
  noticesOf,
  replayHorse,
  sideGap,
  sideViews,
  viewsOf,
  type Facts,
  type TrackedAnswer,
  type Verdict,
  type Views,
} from '@still-pine/core/readiness'
import { describe, expect, it } from 'vitest'
import { historyOf } from './history'
import { demoHorses, type DemoHorse } from './scenario'

interface Told {
  readonly views: Views
  readonly facts: Facts
  readonly verdicts: ReadonlyMap<string, Verdict>
}

const answersOf = (horse: DemoHorse, today: string): readonly TrackedAnswer[] =>
  historyOf(horse, today).flatMap(({ day, answers }) =>
    answers.map((answer) => ({ ...PLAIN, ...answer, day })),
  )

const toldOf = (horse: DemoHorse, today: string): Told => {
  const answers = answersOf(horse, today)
  const views = viewsOf(STANDARD_MODEL, FEET_FIRST, {
    records: replayHorse(STANDARD_MODEL, FEET_FIRST, answers),
    on: today,
  })
  const { born } = horse.form
  const facts: Facts = {
    ...NO_FACTS,
    born,
    checks: horse.checks,
    incidents: horse.incidents,
    handOver: horse.handOver,
  }
  const verdicts = gateVerdicts(FEET_FIRST, views, { facts, on: today })
  return { views, facts, verdicts: new Map(verdicts.map(({ gate, verdict }) => [gate, verdict])) }
}

const states = ({ views }: Told): readonly string[] => [...views.values()].map(({ state }) => state)
const tempers = ({ views }: Told): readonly (string | null)[] =>
  [...views.values()].map(({ temper }) => temper)
const count = (list: readonly unknown[], what: unknown): number => list.filter((one) => one === what).length

describe.each(['2026-05-14', '2027-02-28'])('the demo yard told from %s', (today) => {
  const yard = new Map(demoHorses(today).map((horse) => [horse.form.name, toldOf(horse, today)]))
  const told = (name: string): Told => yard.get(name)!

  it('has ten animals, an entire among them', () => {
    expect(yard.size).toBe(10)
    expect(demoHorses(today).filter(({ form }) => form.sex === 'entire')).toHaveLength(1)
  })

  it('shows every state and every verdict', () => {
    const all = [...yard.values()]
    expect(new Set(all.flatMap(states))).toEqual(
      new Set(['new', 'started', 'coming', 'solid', 'rusty', 'slipped']),
    )
    expect(new Set(all.flatMap(({ verdicts }) => [...verdicts.values()]))).toEqual(
      new Set(['go', 'check-first', 'not-yet', 'stop']),
    )
  })

  it('has Whin, not yet touched', () => expect(new Set(states(told('Whin')))).toEqual(new Set(['new'])))

  it('has Teal, a yearling in a short handling block', () => {
    const { views, facts } = told('Teal')
    const plan = planSession(FEET_FIRST, views, { facts, on: today })
    expect(plan.minutes).toBeLessThanOrEqual(15)
    expect(count(states(told('Teal')), 'new')).toBeGreaterThan(100)
  })

  it('has Bramble, driven on the bit and never ridden', () => {
    expect(told('Bramble').views.get('drive/left')!.daysWorked).toBeGreaterThan(2)
    expect(told('Bramble').views.get('sit/none')!.state).toBe('new')
  })

  it('has Sedge nearly ready for the first time up, the right side lagging', () => {
    const { views } = told('Sedge')
    const gaps = FEET_FIRST.steps.flatMap((step) => {
      const gap = sideGap(sideViews(views, step))
      return gap?.kind === 'gap' && gap.flagged ? [gap.value] : []
    })
    expect(gaps.filter((gap) => gap > 0).length).toBeGreaterThan(3)
    expect(gaps.filter((gap) => gap < 0).length).toBeLessThan(2)
    expect(count(states(told('Sedge')), 'solid')).toBeGreaterThan(60)
    expect(views.get('lie-over/left')!.state).toBe('new')
  })

  it('has Bittern, Rusty after two years away', () => {
    expect(count(states(told('Bittern')), 'rusty')).toBeGreaterThan(30)
  })

  it('has Snipe right but tight, and Burdock slow but easy', () => {
    expect(count(tempers(told('Snipe')), 'reactive')).toBeGreaterThan(2)
    expect(count(tempers(told('Burdock')), 'dull')).toBeGreaterThan(2)
  })

  it('has Lapwing, at Go for the halter, who will not load', () => {
    expect(told('Lapwing').verdicts.get('halter')).toBe('go')
    expect(told('Lapwing').views.get('load/none')!.answers).toBeGreaterThan(4)
    expect(told('Lapwing').views.get('load/none')!.chance).toBeLessThan(0.7)
  })

  it('has Curlew in her first rides, with a hand-over in sight', () => {
    expect(told('Curlew').views.get('ride-go-stop/none')!.answers).toBeGreaterThan(4)
    expect(['go', 'check-first', 'not-yet']).toContain(told('Curlew').verdicts.get('hand-over'))
    const { views, facts } = told('Curlew')
    const { bursts } = planSession(FEET_FIRST, views, { facts, on: today })
    expect(bursts.map(({ step }) => step)).toEqual(expect.arrayContaining(['saddle-on', 'saddle-move']))
  })

  it('has Yarrow on a veterinary hold', () => {
    const { views, facts } = told('Yarrow')
    expect(planSession(FEET_FIRST, views, { facts, on: today }).rests).toBe(true)
    expect(noticesOf({ program: FEET_FIRST, views, facts, on: today })[0]).toMatchObject({
      tone: 'stop',
      about: 'veterinary-hold',
    })
  })
})

describe('what was foretold of its first asks', () => {
  const predictions = demoHorses('2026-05-14').flatMap(
    (horse) => replayPredicting(STANDARD_MODEL, FEET_FIRST, answersOf(horse, '2026-05-14')).predictions,
  )

  it('came true: 15 % nearer than the base rate or better, and off by 3 points at most', () => {
    const light = reliabilityOf(talliesOf(predictions))
    expect(light.predictions).toBeGreaterThan(5000)
    expect(light.better).toBeGreaterThanOrEqual(0.15)
    expect(light.meanError).toBeLessThanOrEqual(0.03)
  })

  it('came true of the calm as well', () => {
    const calm = predictions.flatMap(({ calmChance, tight }) =>
      tight === null ? [] : [{ chance: calmChance, light: !tight }],
    )
    const told = reliabilityOf(talliesOf(calm))
    expect(told.better).toBeGreaterThanOrEqual(0.15)
    expect(told.meanError).toBeLessThanOrEqual(0.03)
  })
})

it('leaves no required step out of sight: every step of the yard is a step of its program', () => {
  for (const { handOver } of demoHorses('2026-05-14'))
    expect(handOver.every((key) => stepOf(FEET_FIRST, key) !== undefined)).toBe(true)
})

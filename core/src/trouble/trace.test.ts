import { describe, expect, it } from 'vitest'
import { workedHorse } from '../../tests/worked-horse'
import { addDays } from '../answer'
import { FEET_FIRST, stepOf, TROUBLES } from '../program'
import { NO_FACTS, type Facts } from '../readiness'
import { findTroubles } from './find'
import { traceTrouble, type TroubleCase } from './trace'

const LATER = ['target', 'food-manners', 'over-from-fence', 'turn-front', 'side-strings']
const GROUND_STAGES = 6

const caseOf = (change: Partial<TroubleCase>): TroubleCase => ({
  program: FEET_FIRST,
  views: new Map(),
  facts: { ...NO_FACTS, born: '2020-01-01' },
  on: '2026-09-01',
  troubles: [],
  provedAt: new Map(),
  ...change,
})

const isOnTheGround = (key: string): boolean => stepOf(FEET_FIRST, key)!.stage <= GROUND_STAGES

/** Every ground step that keeps a trouble away, and a horse that is worked to the end of saddling without it. */
const PLANTED = [...new Set(TROUBLES.flatMap(({ steps }) => steps))].filter(isOnTheGround).map((step, i) => {
  const path = { upTo: 'weight-in-stirrup', without: LATER }
  const worked = workedHorse(100 + i, path, { nature: { troubles: { [step]: 3.5 } } })
  return { step, views: worked.viewsOn(), on: worked.lastDay }
})

const rankOf = ({ step, views, on }: (typeof PLANTED)[number], troubles: readonly string[]): number => {
  const rank = traceTrouble(caseOf({ views, on, troubles })).suspects.findIndex((one) => one.step === step)
  return rank === -1 ? Infinity : rank + 1
}

const shareInFirstThree = (ranks: readonly number[]): number =>
  ranks.filter((rank) => rank <= 3).length / ranks.length

const troublesOf = (step: string): readonly string[] =>
  TROUBLES.filter(({ steps }) => steps.includes(step)).map(({ key }) => key)

describe('a gap planted in a made-up horse', () => {
  it('is among the first three in at least nine of ten, told by all the troubles it makes', () => {
    const ranks = PLANTED.map((horse) => rankOf(horse, troublesOf(horse.step)))
    expect(shareInFirstThree(ranks)).toBeGreaterThanOrEqual(0.9)
  })

  it('is so too where only one of them was told', () => {
    const ranks = PLANTED.flatMap((horse) => troublesOf(horse.step).map((one) => rankOf(horse, [one])))
    expect(shareInFirstThree(ranks)).toBeGreaterThanOrEqual(0.9)
  })

  it('is not made up where nothing was planted: a sound horse has no strong suspect', () => {
    const sound = workedHorse(7, { upTo: 'weight-in-stirrup', without: LATER })
    const strongest = (step: string, views: TroubleCase['views'], on: string): number =>
      traceTrouble(caseOf({ views, on, troubles: troublesOf(step) })).suspects.find(
        (one) => one.step === step,
      )?.weight ?? 0
    const planted = PLANTED.find(({ step }) => step === 'gap')!
    expect(strongest('gap', planted.views, planted.on)).toBeGreaterThan(
      3 * strongest('gap', sound.viewsOn(), sound.lastDay),
    )
  })
})

describe('a trace', () => {
  const few = workedHorse(3, { upTo: 'step-back', without: LATER })
  const views = few.viewsOn()
  const on = few.lastDay

  it('tells a step that waits for another what it waits for, and looks below the list', () => {
    const { suspects } = traceTrouble(caseOf({ views, on, troubles: ['rushes'] }))
    const send = suspects.find(({ step }) => step === 'send')!
    expect(send.lacks.map(({ kind }) => kind)).toEqual(['missing', 'missing'])
    expect(send.today).toMatch(/^Not open yet: it needs hind yield to “two”, left/)
    const below = suspects.find(({ step }) => step === 'yield-hind')!
    expect(below.because).toEqual([`${stepOf(FEET_FIRST, 'send')!.name} stands on it`])
    expect(below.today).toMatch(/^Begin it at rung 1/)
  })

  it('sends to the vet and the fitter first where pain does the same, and says when they last looked', () => {
    const facts: Facts = {
      ...NO_FACTS,
      checks: [{ kind: 'saddle', on: addDays(on, -80), until: null, passed: true }],
    }
    const { lookFirst } = traceTrouble(caseOf({ views, on, facts, troubles: ['cold-backed', 'leans'] }))
    expect(lookFirst.map(({ who }) => who)).toEqual(['vet', 'teeth', 'saddle'])
    expect(lookFirst[1]!.words).toMatch(/never looked at here/)
    expect(lookFirst[2]!.words).toMatch(/80 calendar days ago, all well/)
  })

  it('finds what was proved only at home, where the horse was worked elsewhere too', () => {
    const provedAt = new Map([
      ['step-back', ['Round pen']],
      ['face-up', ['Round pen', 'Track']],
    ])
    const kinds = (proved: TroubleCase['provedAt']): readonly string[] =>
      traceTrouble(caseOf({ views, on, troubles: ['pushy'], provedAt: proved }))
        .suspects.find(({ step }) => step === 'step-back')
        ?.lacks.map(({ kind }) => kind) ?? []
    expect(kinds(provedAt)).toContain('home-only')
    expect(kinds(new Map([['step-back', ['Round pen']]]))).not.toContain('home-only')
  })

  it('says nothing where nothing goes wrong, and leaves out steps the school does not have', () => {
    expect(traceTrouble(caseOf({ views, on }))).toEqual({ lookFirst: [], suspects: [], sound: [] })
    const program = { ...FEET_FIRST, steps: FEET_FIRST.steps.filter(({ key }) => key !== 'gap') }
    const { suspects } = traceTrouble(caseOf({ program, views, on, troubles: ['will-not-load'] }))
    expect(suspects.map(({ step }) => step)).not.toContain('gap')
  })
})

describe('finding a trouble', () => {
  const keys = (text: string): readonly string[] => findTroubles(text).map(({ key }) => key)

  it('goes by the yard’s words, half a word too', () => {
    expect(keys('she won’t go in the trailer')[0]).toBe('will-not-load')
    expect(keys('shies at plastic bags')[0]).toBe('spooks')
    expect(keys('snatch')).toEqual(['bad-for-farrier'])
    expect(keys('girthy')).toEqual(['cold-backed'])
  })

  it('offers all of them before anything is typed, and none for what nobody says', () => {
    expect(keys('  ')).toHaveLength(TROUBLES.length)
    expect(keys('xyzzy')).toEqual([])
  })
})

import { describe, expect, it } from 'vitest'
import { FEET_FIRST } from '../schools'
import type { Step } from '../step'
import { CATALOGUE, needsFrom } from './index'

/** The path as a table, written apart from the catalogue: key, kind, sided, rungs, required rung. */
const PATH: readonly [key: string, kind: 'a' | 'c' | 'h', sided: 0 | 1, rungs: number, required: number][] = [
  ['settle-in-pen', 'c', 0, 4, 4],
  ['face-up', 'a', 0, 4, 4],
  ['loose-direction', 'a', 1, 4, 4],
  ['loose-turn-in', 'a', 1, 3, 3],
  ['draw', 'a', 0, 4, 4],
  ['target', 'a', 0, 4, 4],
  ['food-manners', 'a', 0, 3, 3],
  ['first-touch', 'c', 1, 4, 4],
  ['head-rub', 'c', 1, 5, 3],
  ['body-rub', 'c', 1, 5, 3],
  ['mouth-open', 'c', 0, 4, 4],
  ['catch-rope', 'c', 0, 3, 3],
  ['halter-on', 'c', 1, 4, 4],
  ['give-to-halter', 'a', 1, 3, 3],
  ['step-back', 'a', 0, 4, 4],
  ['lead-up', 'a', 0, 4, 4],
  ['stand', 'h', 0, 5, 3],
  ['tail-hold', 'c', 1, 4, 4],
  ['foot-front', 'c', 1, 9, 7],
  ['foot-hind', 'c', 1, 9, 7],
  ['tie', 'h', 0, 5, 4],
  ['rope-over', 'c', 1, 5, 4],
  ['flag', 'c', 1, 5, 4],
  ['stick-string', 'c', 1, 6, 4],
  ['ground-sheet', 'a', 0, 5, 4],
  ['person-moves', 'c', 1, 3, 3],
  ['person-above', 'c', 1, 4, 4],
  ['over-from-fence', 'c', 1, 3, 3],
  ['girth-rope', 'c', 1, 4, 4],
  ['pad-blanket', 'c', 1, 5, 5],
  ['strange-places', 'c', 0, 5, 5],
  ['yield-hind', 'a', 1, 5, 4],
  ['yield-shoulder', 'a', 1, 3, 3],
  ['turn-front', 'a', 1, 2, 2],
  ['bend', 'a', 1, 4, 4],
  ['bow-the-feel', 'a', 1, 4, 4],
  ['send', 'a', 1, 5, 4],
  ['stop-on-circle', 'a', 1, 4, 3],
  ['turn-on-line', 'a', 1, 3, 3],
  ['hind-in-motion', 'a', 1, 2, 2],
  ['sideways', 'a', 1, 4, 2],
  ['gap', 'a', 1, 5, 3],
  ['come-to-block', 'a', 1, 3, 3],
  ['poles', 'h', 0, 5, 3],
  ['load', 'h', 0, 5, 5],
  ['laps', 'h', 1, 4, 4],
  ['stretch-lunge', 'h', 1, 4, 4],
  ['carry-bit', 'h', 0, 4, 4],
  ['bridle-on', 'c', 1, 4, 4],
  ['give-to-bit', 'a', 1, 4, 4],
  ['rope-behind', 'c', 1, 3, 3],
  ['drive', 'a', 1, 5, 5],
  ['drive-on-bit', 'a', 1, 3, 3],
  ['surcingle', 'c', 0, 4, 3],
  ['side-strings', 'h', 0, 3, 3],
  ['saddle-on', 'c', 1, 4, 4],
  ['saddle-wear', 'h', 0, 2, 2],
  ['saddle-move', 'c', 1, 5, 4],
  ['weight-in-stirrup', 'c', 1, 3, 3],
  ['lie-over', 'c', 1, 4, 4],
  ['foot-in', 'c', 1, 3, 3],
  ['sit', 'c', 0, 5, 5],
  ['stand-to-mount', 'h', 1, 3, 3],
  ['led-ride', 'a', 0, 4, 4],
  ['ride-perimeter-led', 'c', 1, 2, 2],
  ['ride-bend', 'a', 1, 3, 3],
  ['ride-go-stop', 'a', 0, 4, 3],
  ['ride-steer', 'a', 1, 4, 4],
  ['ride-perimeter', 'c', 1, 3, 3],
  ['ride-canter', 'a', 1, 3, 3],
  ['ride-contact', 'a', 1, 3, 3],
  ['ride-poles', 'h', 0, 4, 4],
  ['ride-out', 'h', 0, 4, 4],
  ['ride-small-fence', 'h', 0, 4, 4],
]

const KINDS = { a: 'ask', c: 'accept', h: 'hold' } as const

const row = ({ key, kind, sided, rungs, requiredRung }: Step) => [
  key,
  kind,
  sided,
  rungs.length,
  requiredRung,
]

describe('the path', () => {
  it('stands in this order with these kinds, sides and ladders', () => {
    expect(CATALOGUE.map(row)).toEqual(
      PATH.map(([key, kind, sided, ...rest]) => [key, KINDS[kind], sided === 1, ...rest]),
    )
  })

  it('has four all-round steps and two roles', () => {
    expect(CATALOGUE.filter(({ allRound }) => allRound).map(({ key }) => key)).toEqual([
      'rope-over',
      'flag',
      'stick-string',
      'person-moves',
    ])
    const ofRole = (role: string) =>
      CATALOGUE.filter(({ roles }) => roles.includes(role as never)).map(({ key }) => key)
    expect(ofRole('stand-caught')).toEqual(['face-up', 'catch-rope'])
    expect(ofRole('go-loose')).toEqual(['loose-direction', 'draw', 'target'])
  })

  it('says no rung of a ladder twice', () => {
    for (const { key, rungs } of CATALOGUE) expect([key, new Set(rungs).size]).toEqual([key, rungs.length])
  })
})

describe('needs as they are written', () => {
  it('reads steps, rungs, roles and later rungs', () => {
    expect(needsFrom('draw@3 head-rub role:go-loose >4:stop-on-circle')).toEqual([
      { step: 'draw', rung: 3 },
      { step: 'head-rub' },
      { role: 'go-loose' },
      { step: 'stop-on-circle', fromRung: 4 },
    ])
    expect(needsFrom('')).toEqual([])
  })
})

describe('the gates', () => {
  const gates = new Map(FEET_FIRST.gates.map((gate) => [gate.key, gate]))
  const names = (key: string) => gates.get(key)!.solid.map(({ step, role }) => step ?? role)

  it('guard these rungs and events', () => {
    expect(
      FEET_FIRST.gates.map(({ key, guards }) => [
        key,
        guards.kind === 'step' ? `${guards.step}@${guards.fromRung}` : guards.after,
      ]),
    ).toEqual([
      ['halter', 'halter-on@4'],
      ['farrier', 'foot-hind'],
      ['tie-fast', 'tie@3'],
      ['first-bit', 'give-to-bit@1'],
      ['first-saddle', 'surcingle@1'],
      ['first-weight', 'weight-in-stirrup@3'],
      ['first-time-up', 'lie-over@1'],
      ['off-the-lead', 'ride-go-stop@1'],
      ['first-canter', 'ride-canter@1'],
      ['ride-out', 'ride-out@1'],
      ['first-fence', 'ride-small-fence@1'],
      ['hand-over', 'ride-small-fence'],
    ])
  })

  it('ask for these steps to be Solid', () => {
    expect(names('halter')).toEqual([])
    expect(names('tie-fast')).toEqual(['give-to-halter', 'lead-up', 'step-back'])
    expect(names('first-saddle')).toHaveLength(6)
    expect(names('first-time-up')).toHaveLength(18)
    expect(names('off-the-lead')).toEqual(['led-ride', 'ride-perimeter-led', 'stand-to-mount'])
  })

  it('keep to the least ages of the yard’s rules', () => {
    const months = (key: string) => gates.get(key)!.leastMonths
    expect(['first-bit', 'first-saddle', 'first-time-up', 'first-canter', 'first-fence'].map(months)).toEqual(
      [30, 30, 36, 36, 48],
    )
  })

  it('want the steps a neck hangs on passed on the day before anybody is up or off the lead', () => {
    for (const key of ['first-time-up', 'off-the-lead'])
      expect(gates.get(key)!.dueToday).toEqual(['bend', 'yield-hind', 'stand', 'weight-in-stirrup'])
    expect([...gates.values()].filter(({ freshDays }) => freshDays === 7).map(({ key }) => key)).toEqual([
      'off-the-lead',
      'first-canter',
    ])
  })
})

describe('what carries over', () => {
  it('is 19 shares, none over what one source may give', () => {
    expect(FEET_FIRST.carryOver).toHaveLength(19)
    for (const { share } of FEET_FIRST.carryOver) expect(share).toBeLessThanOrEqual(0.5)
  })
})

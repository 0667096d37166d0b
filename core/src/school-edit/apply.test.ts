import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  FEET_FIRST,
  flawsOf,
  GATES_THAT_SHIP,
  gatesGuarding,
  marksOf,
  SCHOOLS,
  stepOf,
  withSafety,
  type Exposure,
  type Program,
  type Step,
} from '../program'
import { applyEdit } from './apply'
import { copyOfSchool, stepsLeftOut } from './copy'
import type { Edit } from './edits'

const OWN = copyOfSchool(FEET_FIRST, 'our-way', 'Our way')

/** After these edits, each of which must go. */
const after = (...edits: readonly Edit[]): Program =>
  edits.reduce<Program>((program, edit) => {
    const edited = applyEdit(program, edit)
    if ('refused' in edited) throw new Error(edited.refused)
    return edited.program
  }, OWN)

const refusal = (edit: Edit, program: Program = OWN): string => {
  const edited = applyEdit(program, edit)
  return 'refused' in edited ? edited.refused : ''
}

describe('rungs', () => {
  it('keep their marks when one comes between them, and needs follow their rung', () => {
    const program = after({ do: 'add-rung', step: 'send', rung: 3, words: 'three quarters round' })
    const send = stepOf(program, 'send')!
    expect(send.rungs[2]).toBe('three quarters round')
    expect(marksOf(send)).toEqual([1, 2, 2.5, 3, 4, 5])
    expect(send.requiredRung).toBe(5)
    const needing = stepOf(program, 'turn-on-line')!.needs.find(({ step }) => step === 'send')
    expect(needing!.rung).toBe(4)
  })

  it('take the rungs and the gate above them down when one goes', () => {
    const tie = stepOf(after({ do: 'remove-rung', step: 'tie', rung: 1 }), 'tie')!
    expect(marksOf(tie)).toEqual([2, 3, 4, 5])
    const gate = after({ do: 'remove-rung', step: 'tie', rung: 1 }).gates.find(
      ({ key }) => key === 'tie-fast',
    )
    expect(gate!.guards).toMatchObject({ step: 'tie', fromRung: 2 })
  })

  it('are moved with their marks', () => {
    const bend = stepOf(after({ do: 'move-rung', step: 'bend', from: 2, to: 1 }), 'bend')!
    expect(marksOf(bend)).toEqual([2, 1, 3, 4])
  })

  it('cannot all be taken out', () => {
    const one = after({ do: 'remove-rung', step: 'turn-front', rung: 2 })
    expect(refusal({ do: 'remove-rung', step: 'turn-front', rung: 1 }, one)).toMatch(
      /Take the step out instead/,
    )
  })
})

describe('steps', () => {
  it('go with all that names them, and say what else that changed', () => {
    const edited = applyEdit(OWN, { do: 'remove-step', step: 'flag' })
    if ('refused' in edited) throw new Error(edited.refused)
    expect(stepOf(edited.program, 'flag')).toBeUndefined()
    expect(edited.also).toContain('no longer asked for at First saddle, First time up')
  })

  it('come in from the catalogue, at their place', () => {
    const target = stepsLeftOut(OWN).find(({ key }) => key === 'target')!
    const program = after({ do: 'add-step', step: target, before: 'first-touch' })
    const keys = program.steps.map(({ key }) => key)
    expect(keys.indexOf('target')).toBe(keys.indexOf('first-touch') - 1)
  })

  it('stay in their stage', () => {
    expect(refusal({ do: 'move-step', step: 'bend', before: 'surcingle' })).toMatch(/another stage/)
    const keys = after({ do: 'move-step', step: 'bend', before: 'yield-hind' }).steps.map(({ key }) => key)
    expect(keys.indexOf('bend')).toBe(keys.indexOf('yield-hind') - 1)
  })

  it('cannot wait for each other', () => {
    const need = { step: 'turn-on-line' }
    expect(refusal({ do: 'add-need', step: 'give-to-halter', need })).toMatch(/These wait for each other/)
  })
})

describe('the law and the vet', () => {
  it('keep their stops', () => {
    for (const stop of ['veterinary-hold', 'age', 'helmet'] as const)
      expect(refusal({ do: 'gate-stop', gate: 'first-time-up', stop, on: false })).toMatch(
        /stricter, not looser/,
      )
    expect(refusal({ do: 'gate-stop', gate: 'first-bit', stop: 'mouth-check', on: false })).toMatch(
      /mouth check/,
    )
    expect(refusal({ do: 'gate-stop', gate: 'tie-fast', stop: 'safe-rail', on: false })).toMatch(/safe rail/)
    expect(refusal({ do: 'gate-stop', gate: 'tie-fast', stop: 'helmet', on: true })).toBe('')
  })

  it('let ages be raised and not lowered', () => {
    expect(refusal({ do: 'gate-months', gate: 'first-time-up', months: 30 })).toMatch(/not younger than 36/)
    expect(refusal({ do: 'gate-months', gate: 'first-time-up', months: 48 })).toBe('')
  })

  it('stand in every gate of every school that ships', () => {
    for (const school of SCHOOLS) expect(flawsOf(school)).toEqual([])
    expect(GATES_THAT_SHIP.length).toBe(12)
  })
})

describe('what a rung puts at risk', () => {
  it('cannot be taken off a rung that ships, and can be added', () => {
    const on = (exposures: readonly Exposure[]) =>
      ({ do: 'expose', step: 'drive', rung: 1, exposures }) as const
    expect(refusal(on([]))).toMatch(/“lines” cannot be taken off/)
    expect(refusal(on(['lines', 'reach']))).toBe('')
  })

  it('of a rung that is put in is that of the rungs beside it', () => {
    const program = after({
      do: 'add-rung',
      step: 'tie',
      rung: 3,
      words: 'once round the rail, held in the hand',
    })
    const tie = stepOf(program, 'tie')!
    expect(tie.exposures).toEqual([
      ['tied'],
      ['tied'],
      ['tied', 'tied-fast'],
      ['tied-fast'],
      ['tied-fast'],
      ['tied-fast'],
    ])
    expect(refusal({ do: 'expose', step: 'tie', rung: 3, exposures: ['tied-fast'] }, program)).toMatch(
      /cannot be taken off/,
    )
  })

  it('of a step of the yard’s own is at least what the steps on both sides of it share', () => {
    const own: Step = {
      ...stepOf(OWN, 'ride-steer')!,
      key: 'own-serpentines',
      name: 'Serpentines',
      needs: [{ step: 'ride-go-stop', rung: 2 }],
      exposures: [],
    }
    const { exposures: _told, ...plain } = own
    const program = after({ do: 'add-step', step: plain, before: 'ride-perimeter' })
    expect(stepOf(program, 'own-serpentines')!.exposures![0]).toEqual(['girth', 'mounted', 'off-lead'])
    expect(gatesGuarding(program, 'own-serpentines', 1).map(({ key }) => key)).toContain('off-the-lead')
    expect(refusal({ do: 'expose', step: 'own-serpentines', rung: 1, exposures: [] }, program)).toMatch(
      /cannot be taken off/,
    )
  })

  it('keeps its gate when the step at its post leaves', () => {
    const program = after({ do: 'remove-step', step: 'surcingle' })
    const gate = program.gates.find(({ key }) => key === 'first-saddle')!
    expect(gate.guards).toEqual({ kind: 'step', step: 'side-strings', fromRung: 1 })
    expect(gatesGuarding(program, 'saddle-on', 1)).toContain(gate)
  })
})

describe('a school from before rungs said what they put at risk', () => {
  it('reads as strict as what ships, with the gates that came since', () => {
    const { gates, steps, ...rest } = OWN
    const old: Program = {
      ...rest,
      steps: steps.map(({ exposures: _e, effort: _f, ...step }) => step),
      gates: gates
        .filter(({ key }) => key !== 'first-weight')
        .map(({ exposures: _e, stops, ...gate }) => ({
          ...gate,
          stops: stops.filter((stop) => stop !== 'saddle-check'),
        })),
    }
    const read = withSafety(old)
    expect(read.steps).toEqual(steps)
    expect(read.gates).toEqual(gates)
    expect(withSafety(read)).toBe(read)
    expect(flawsOf(read)).toEqual([])
  })
})

describe('the pace', () => {
  it('moves a border, and not past its neighbours', () => {
    expect(after({ do: 'pace', border: 1, seconds: 3 }).pace.limits).toEqual([1.5, 3, 7.5, 12])
    expect(refusal({ do: 'pace', border: 1, seconds: 9 })).toMatch(/end later than the one before/)
  })
})

const keysOf = (program: Program): readonly string[] => program.steps.map(({ key }) => key)
const stepKey = fc.constantFrom(...keysOf(OWN), 'target', 'food-manners', 'no-such-step')
const rung = fc.integer({ min: 0, max: 8 })
const words = fc.constantFrom('a little more', 'half of it')
const need = fc.record({ step: stepKey, rung: fc.integer({ min: 1, max: 7 }) })
const gate = fc.constantFrom(...OWN.gates.map(({ key }) => key), 'no-such-gate')
const list = fc.constantFrom('solid' as const, 'met' as const)
const stop = fc.constantFrom(
  'veterinary-hold' as const,
  'age' as const,
  'helper' as const,
  'safe-rail' as const,
)
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({
    do: fc.constant('pace' as const),
    border: fc.integer({ min: 0, max: 3 }),
    seconds: fc.integer({ min: 1, max: 20 }),
  }),
  fc.record({ do: fc.constant('remove-step' as const), step: stepKey }),
  fc.record({ do: fc.constant('move-step' as const), step: stepKey, before: fc.option(stepKey) }),
  fc.record({
    do: fc.constant('add-step' as const),
    step: fc.constantFrom(...stepsLeftOut(OWN)),
    before: fc.option(stepKey),
  }),
  fc.record({ do: fc.constant('add-rung' as const), step: stepKey, rung, words }),
  fc.record({ do: fc.constant('remove-rung' as const), step: stepKey, rung }),
  fc.record({ do: fc.constant('move-rung' as const), step: stepKey, from: rung, to: rung }),
  fc.record({ do: fc.constant('require-rung' as const), step: stepKey, rung }),
  fc.record({ do: fc.constant('add-need' as const), step: stepKey, need }),
  fc.record({ do: fc.constant('drop-need' as const), step: stepKey, need }),
  fc.record({ do: fc.constant('sides' as const), step: stepKey, sided: fc.boolean() }),
  fc.record({ do: fc.constant('gate-add' as const), gate, list, need }),
  fc.record({ do: fc.constant('gate-drop' as const), gate, list, need }),
  fc.record({ do: fc.constant('gate-stop' as const), gate, stop, on: fc.boolean() }),
  fc.record({ do: fc.constant('gate-months' as const), gate, months: fc.integer({ min: 0, max: 60 }) }),
)

describe('any sequence of edits', () => {
  it('keeps the school usable, or is refused with the reason', () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        let program: Program = OWN
        for (const one of edits) {
          const edited = applyEdit(program, one)
          if ('refused' in edited) expect(edited.refused.length).toBeGreaterThan(10)
          else program = edited.program
        }
        expect(flawsOf(program)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })
})

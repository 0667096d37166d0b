import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RUN_STAGES, runSheet, sidesOfStage, type RunAsk, type RunStage } from './run-sheet'

const ask = (step: string, side: RunAsk['side'], calm: RunAsk['calm'] = 0): RunAsk => ({
  step,
  side,
  calm,
  grade: 1,
})
const three = (step: RunStage): RunAsk[] =>
  sidesOfStage(step).flatMap((side) => [ask(step, side), ask(step, side), ask(step, side)])

describe('the run sheet of a first time up', () => {
  it('begins with lying over, and goes on after three loose ones on each side', () => {
    expect(runSheet([])).toMatchObject({ stage: 'lie-over', says: 'begin', nextSide: 'left' })
    const oneSide = three('lie-over').slice(0, 3)
    expect(runSheet(oneSide)).toMatchObject({ stage: 'lie-over', says: 'go-on', nextSide: 'right' })
    expect(runSheet(three('lie-over'))).toMatchObject({ stage: 'foot-in', says: 'next-stage' })
  })

  it('goes back a stage at one tight, and is over for the day at two', () => {
    const up = [...three('lie-over'), ...three('foot-in')]
    expect(runSheet([...up, ask('sit', 'none', 2)])).toMatchObject({ stage: 'foot-in', says: 'back-a-stage' })
    expect(runSheet([...up, ask('sit', 'none', 2), ask('foot-in', 'left', 2)])).toMatchObject({
      says: 'ended-tight',
      isOver: true,
    })
    // At the first stage there is nothing to go back to: it stays there.
    expect(runSheet([ask('lie-over', 'left', 2)])).toMatchObject({ stage: 'lie-over', says: 'back-a-stage' })
  })

  it('begins to count anew at a watchful one, and after a stage was left', () => {
    const twice = [ask('lie-over', 'left'), ask('lie-over', 'left'), ask('lie-over', 'left', 1)]
    expect(runSheet(twice).looseLeft[0]).toEqual({ side: 'left', left: 3 })
    const backAgain = [...three('lie-over'), ask('foot-in', 'left', 2)]
    expect(runSheet(backAgain).looseLeft.map(({ left }) => left)).toEqual([3, 3])
  })

  it('ends well after the last stage, and takes nothing more', () => {
    const all = RUN_STAGES.flatMap(three)
    expect(runSheet(all)).toMatchObject({ says: 'ended-well', isOver: true })
    expect(runSheet([...all, ask('led-ride', 'none', 2)])).toEqual(runSheet(all))
  })

  it('never has somebody sit who did not lie over and put a foot in, three times each side', () => {
    const any = fc.record({
      step: fc.constantFrom<string>(...RUN_STAGES),
      side: fc.constantFrom<RunAsk['side']>('left', 'right', 'none'),
      grade: fc.constantFrom(0, 1, 2, 3, 4) as fc.Arbitrary<RunAsk['grade']>,
      calm: fc.constantFrom(0, 0, 0, 1, 2, null) as fc.Arbitrary<RunAsk['calm']>,
    })
    fc.assert(
      fc.property(fc.array(any, { maxLength: 60 }), (asks) => {
        const { stage } = runSheet(asks)
        for (const before of RUN_STAGES.slice(0, RUN_STAGES.indexOf(stage)))
          for (const side of sidesOfStage(before))
            expect(
              asks.filter((one) => one.step === before && one.side === side && one.calm === 0).length,
            ).toBeGreaterThanOrEqual(3)
      }),
    )
  })
})

import { describe, expect, it } from 'vitest'
import { workedHorse } from '../../tests/worked-horse'
import { STANDARD_MODEL } from '../judgement'
import { FEET_FIRST, type Program } from '../program'
import { replayHorse, viewsOf, type TrackedAnswer } from '../readiness'
import { PLAIN } from '../answer'
import { applyEdit } from './apply'
import { copyOfSchool } from './copy'
import { differencesOf } from './differences'
import { drafted } from './draft'
import type { Edit } from './edits'
import { movedOver } from './moving-over'

const OWN = copyOfSchool(FEET_FIRST, 'own', 'Own')

const after = (...edits: readonly Edit[]): Program =>
  edits.reduce<Program>((program, edit) => {
    const edited = applyEdit(program, edit)
    if ('refused' in edited) throw new Error(edited.refused)
    return edited.program
  }, OWN)

const answer = (part: Partial<TrackedAnswer>): TrackedAnswer => ({
  ...PLAIN,
  day: '2026-05-01',
  step: 'bend',
  side: 'left',
  rung: 1,
  grade: 1,
  calm: 0,
  ...part,
})

const judged = (program: Program, answers: readonly TrackedAnswer[]) =>
  viewsOf(STANDARD_MODEL, program, {
    records: replayHorse(STANDARD_MODEL, program, answers),
    on: '2026-05-02',
  })

describe('answers under another ladder', () => {
  it('stay with their rung when one comes in below it', () => {
    const program = after({ do: 'add-rung', step: 'bend', rung: 1, words: 'looks round' })
    const answers = [answer({ rung: 4 }), answer({ rung: 4 })]
    // Rung 4 is rung 5 of five now: as far from the required one as it was.
    const [before, now] = [judged(FEET_FIRST, answers), judged(program, answers)]
    expect(now.get('bend/left')!.byRung[4]).toEqual(before.get('bend/left')!.byRung[3])
  })

  it('count as the easier rung where their own is gone', () => {
    const program = after({ do: 'remove-rung', step: 'bend', rung: 3 })
    const onGone = judged(program, [answer({ rung: 3 })])
    const onEasier = judged(program, [answer({ rung: 2 })])
    expect(onGone).toEqual(onEasier)
  })

  it('count for both sides where a step gains sides, and for one where it loses them', () => {
    const unsided = after({ do: 'sides', step: 'bend', sided: false })
    const both = judged(unsided, [answer({ side: 'left' }), answer({ side: 'right' })])
    expect(both.get('bend/none')!.answers).toBe(2)
    const sided = after({ do: 'sides', step: 'draw', sided: true })
    const each = judged(sided, [answer({ step: 'draw', side: 'none' })])
    expect([each.get('draw/left')!.answers, each.get('draw/right')!.answers]).toEqual([1, 1])
  })
})

describe('moving over', () => {
  it('tells nothing where nothing changed', () => {
    const { viewsOn } = workedHorse(5, { upTo: 'bend' })
    const views = viewsOn()
    expect(movedOver(FEET_FIRST, OWN, { before: views, after: views })).toEqual([])
  })

  it('tells of steps that come, go, and change their ladder, their sides and what they must reach', () => {
    const program = after(
      { do: 'remove-step', step: 'poles' },
      { do: 'require-rung', step: 'send', rung: 3 },
      { do: 'sides', step: 'sideways', sided: false },
      { do: 'all-round', step: 'flag', allRound: false },
    )
    const told = movedOver(FEET_FIRST, program, {
      before: judged(FEET_FIRST, []),
      after: judged(program, []),
    })
    const changes = new Map(told.map(({ step, changes }) => [step, changes.join('; ')]))
    expect(changes.get('poles')).toMatch(/not on the path any more/)
    expect(changes.get('send')).toMatch(/must reach “a slack circle at walk”/)
    expect(changes.get('sideways')).toMatch(/not asked on each side any more/)
    expect(changes.get('flag')).toMatch(/need not be proved all round/)
  })
})

describe('the differences of two versions', () => {
  it('do not tell of needs that only got another number', () => {
    const program = after({ do: 'remove-rung', step: 'bend', rung: 1 })
    expect(differencesOf(OWN, program).map(({ part }) => part)).toEqual(['bend'])
  })

  it('tell of pace, order, needs, gates and words', () => {
    const program = after(
      { do: 'pace', border: 0, seconds: 2 },
      { do: 'move-step', step: 'bend', before: 'yield-hind' },
      { do: 'add-need', step: 'bend', need: { step: 'lead-up', rung: 2 } },
      { do: 'gate-months', gate: 'first-saddle', months: 42 },
      { do: 'card', step: 'bend', words: { purpose: 'So that it gives.' } },
    )
    const words = new Map(differencesOf(OWN, program).map((one) => [one.part, one.words.join('; ')]))
    expect(words.get('')).toMatch(/thought to 2 s.*another order/)
    expect(words.get('bend')).toMatch(/needs Lead up to .* now; its card is in other words/)
    expect(words.get('first-saddle')).toBe('not before 42 months')
  })
})

describe('a draft', () => {
  it('is its base with its edits, and says which of them cannot stand on another base', () => {
    const edits: Edit[] = [
      { do: 'rename', name: 'Better' },
      { do: 'word-rung', step: 'poles', rung: 1, words: 'one pole' },
    ]
    expect(drafted({ base: OWN, edits })).toMatchObject({
      program: { name: 'Better', version: 2 },
      refused: [],
    })
    const other = after({ do: 'remove-step', step: 'poles' })
    const onOther = drafted({ base: other, edits })
    expect(onOther.program.name).toBe('Better')
    expect(onOther.refused).toEqual([{ edit: edits[1], words: '“poles” is not on the path.' }])
  })
})

import type { Calm, Grade, Side } from '../answer'

/** The stages of the first time up, each permitted by the one before it (common practice, no source). */
export const RUN_STAGES = ['lie-over', 'foot-in', 'sit', 'led-ride'] as const
export type RunStage = (typeof RUN_STAGES)[number]

/** So many loose ones in a row, on each side, before the next stage. */
const LOOSE_BEFORE_NEXT = 3
/** So many tight ones in a day, and it is over for the day. */
const MOST_TIGHT = 2

/** Stages asked from both sides; the others are asked from the side it knows. */
const BOTH_SIDES: readonly RunStage[] = ['lie-over', 'foot-in']

export const sidesOfStage = (stage: RunStage): readonly Side[] =>
  BOTH_SIDES.includes(stage) ? ['left', 'right'] : ['none']

/** One try at a stage, as it was answered. */
export interface RunAsk {
  readonly step: string
  readonly side: Side
  readonly grade: Grade
  readonly calm: Calm | null
}

interface Sheet {
  /** The stage that is asked now; the last one where it ended. */
  readonly stage: RunStage
  /** Loose ones in a row on each side of this stage. */
  readonly loose: Readonly<Partial<Record<Side, number>>>
  readonly tight: number
  readonly says: 'begin' | 'go-on' | 'next-stage' | 'back-a-stage' | 'ended-well' | 'ended-tight'
}

const isTight = ({ grade, calm }: RunAsk): boolean => calm === 2 || grade >= 3
const isLoose = ({ grade, calm }: RunAsk): boolean => calm === 0 && grade <= 1

const noneYet = (stage: RunStage): Sheet['loose'] =>
  Object.fromEntries(sidesOfStage(stage).map((side) => [side, 0]))

const isDone = (stage: RunStage, loose: Sheet['loose']): boolean =>
  sidesOfStage(stage).every((side) => (loose[side] ?? 0) >= LOOSE_BEFORE_NEXT)

const after = (sheet: Sheet, ask: RunAsk): Sheet => {
  const { stage } = sheet
  if (sheet.says === 'ended-well' || sheet.says === 'ended-tight' || ask.step !== stage) return sheet
  const at = RUN_STAGES.indexOf(stage)
  if (isTight(ask)) {
    const tight = sheet.tight + 1
    const back = RUN_STAGES[Math.max(0, at - 1)]!
    return {
      stage: back,
      loose: noneYet(back),
      tight,
      says: tight >= MOST_TIGHT ? 'ended-tight' : 'back-a-stage',
    }
  }
  const loose = { ...sheet.loose, [ask.side]: isLoose(ask) ? (sheet.loose[ask.side] ?? 0) + 1 : 0 }
  if (!isDone(stage, loose)) return { ...sheet, loose, says: 'go-on' }
  const next = RUN_STAGES[at + 1]
  return next
    ? { ...sheet, stage: next, loose: noneYet(next), says: 'next-stage' }
    : { ...sheet, loose, says: 'ended-well' }
}

/**
 * Where a first time up stands, from the tries of the day in their order: three loose ones in a row on each side before the
 * next stage, one tight is back a stage, two tight end the day. What is asked out of its turn is no part of it.
 */
export const runSheet = (asks: readonly RunAsk[]) => {
  const first = RUN_STAGES[0]
  const begin: Sheet = { stage: first, loose: noneYet(first), tight: 0, says: 'begin' }
  const sheet = asks.reduce(after, begin)
  const sides = sidesOfStage(sheet.stage)
  // The side with fewer comes next; the left first where both are even.
  const nextSide = sides.reduce((best, side) =>
    (sheet.loose[side] ?? 0) < (sheet.loose[best] ?? 0) ? side : best,
  )
  return {
    ...sheet,
    isOver: sheet.says === 'ended-well' || sheet.says === 'ended-tight',
    nextSide,
    looseLeft: sides.map((side) => ({
      side,
      left: Math.max(0, LOOSE_BEFORE_NEXT - (sheet.loose[side] ?? 0)),
    })),
  }
}

export type RunSheet = ReturnType<typeof runSheet>

interface Doing {
  readonly name: string
  readonly rider: string
  readonly helper: string
}

/** Who does what at each stage. */
export const RUN_DOING: Readonly<Record<RunStage, Doing>> = {
  'lie-over': {
    name: 'Lie over',
    rider:
      'Belly over the saddle for a second, and down again before it asks. Rub the far side. Nothing in the stirrup.',
    helper:
      'At the head, on the rider’s side, slack in the line. Watch eye and ear; say “down” at the first sign.',
  },
  'foot-in': {
    name: 'Foot in the stirrup',
    rider: 'Foot in, toe turned away from the ribs; half up, seen by both eyes; down. Lean, never jump.',
    helper: 'On the same side as the rider. Step the hip over if it swings; never hold the head tight.',
  },
  sit: {
    name: 'Sit',
    rider:
      'Leg over without a touch of the hip, sit, breathe out, rub its neck. Down on the side it knows after a second; then thirty.',
    helper:
      'At the shoulder, a loop of slack. Nobody talks to the horse but the rider. Bend it if it leaves; do not pull.',
  },
  'led-ride': {
    name: 'Led',
    rider: 'Hands on the mane, look up, legs hang. Say “walk on” and “whoa” first, the helper follows.',
    helper:
      'Four steps, and stop. Then the length. Turn towards you, never sharp. Back to the block to get down.',
  },
}

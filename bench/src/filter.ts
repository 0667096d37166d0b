import { addDays, type Answer, type Calm, type Grade } from '@still-pine/core/answer'
import { askedOn, GRID, STANDARD_MODEL, type Belief } from '@still-pine/core/judgement'
import { recordWith, trackAlone, type RecordOfHorse } from '@still-pine/core/readiness'
import { inTurns, type Figure } from './measure'

const ASK = { kind: 'ask', requiredRung: 3, allRound: false } as const

/** A long log of one track: six answers a day, every other day. */
export const longLog = (answers: number): readonly Answer[] =>
  Array.from({ length: answers }, (_, i) => ({
    day: addDays('2020-01-01', 2 * Math.floor(i / 6)),
    rung: 1 + ((i * 7) % 3),
    grade: ((i * 5) % 11 < 8 ? i % 2 : 2 + (i % 3)) as Grade,
    calm: ((i * 3) % 7 < 5 ? 0 : 1) as Calm,
    byChance: false,
    recalled: false,
    uncued: false,
    place: null,
    moving: false,
  }))

/** The points either side of a source point that learning reaches, at eight sigma. */
const REACH = Math.floor((8 * 0.15) / ((GRID.hi - GRID.lo) / (GRID.size - 1)))
const BAND = 2 * REACH + 1
/** Mass below this is left out, in the filter and here. */
const NEGLIGIBLE = 1e-12

/**
 * The bare loop: for each answer the same multiplications and additions as the filter's update of both abilities
 * (the likelihood, its sum, the shift shared between two points, the kernel), and nothing else.
 */
const bareUpdate = (
  density: Float64Array,
  likelihood: Float64Array,
  { row, moved, out }: { row: Float64Array; moved: Float64Array; out: Float64Array },
): void => {
  let sum = 0
  for (let i = 0; i < GRID.size; i++) sum += density[i]! * likelihood[i]!
  const scale = 1 / sum
  moved.fill(0)
  out.fill(0)
  for (let i = 0; i < GRID.size - 3; i++) {
    const mass = density[i]! * likelihood[i]! * scale
    moved[i + 2]! += 0.3 * mass
    moved[i + 3]! += 0.7 * mass
  }
  for (let i = 0; i < GRID.size; i++) {
    const mass = moved[i]!
    if (mass < NEGLIGIBLE) continue
    const start = Math.max(0, i - REACH)
    const end = Math.min(GRID.size, i + REACH + 1)
    for (let j = start; j < end; j++) out[j]! += mass * row[j - i + REACH]!
  }
}

const ANSWERS = 4_000

/** Answers filtered in a second, against the bare loop on the same densities. */
export const filterFigures = (): readonly Figure[] => {
  const log = longLog(ANSWERS).map((answer) => ({ ...answer, day: '2026-05-01' }))
  const more = (track: RecordOfHorse, answer: Answer): RecordOfHorse =>
    recordWith(STANDARD_MODEL, ASK, {
      record: track.record,
      horse: askedOn(STANDARD_MODEL, track.horse, { track: '', day: answer.day }),
      answer,
    })
  const start = trackAlone(STANDARD_MODEL, ASK, log.slice(0, 40))
  // The bare loop works on densities that the filter comes to, so that neither has the easier ones.
  const met: Belief[] = []
  log.reduce((track, answer, i) => {
    if (i % 50 === 0) met.push(track.record.belief)
    return more(track, answer)
  }, start)
  const filter = (): void => {
    let track = start
    for (const answer of log) track = more(track, answer)
  }
  const row = Float64Array.from({ length: BAND }, () => 1 / BAND)
  const likelihood = Float64Array.from({ length: GRID.size }, (_, i) => 0.5 + i / (2 * GRID.size))
  const [moved, out] = [new Float64Array(GRID.size), new Float64Array(GRID.size)]
  const bare = (): void => {
    for (let n = 0; n < ANSWERS; n++) {
      const { ability, calm } = met[n % met.length]!
      bareUpdate(ability, likelihood, { row, moved, out })
      bareUpdate(calm, likelihood, { row, moved, out })
    }
  }
  filter()
  bare()
  const [filterMs, bareMs] = inTurns(9, filter, bare)
  return [
    { name: 'answers filtered on one thread', value: (ANSWERS / filterMs) * 1000, unit: '/s', aim: '' },
    { name: 'filter to bare loop', value: filterMs / bareMs, unit: '×', aim: '≤ 2' },
  ]
}

/** One more answer on a long track against one on a short one. */
export const oneMoreFigures = (): readonly Figure[] => {
  const short = trackAlone(STANDARD_MODEL, ASK, longLog(100))
  const long = trackAlone(STANDARD_MODEL, ASK, longLog(10_000))
  const more = { ...longLog(1)[0]!, day: '2060-01-01' }
  const repeat = (track: RecordOfHorse) => (): void => {
    for (let i = 0; i < 400; i++) recordWith(STANDARD_MODEL, ASK, { ...track, answer: more })
  }
  repeat(short)()
  repeat(long)()
  const [shortMs, longMs] = inTurns(9, repeat(short), repeat(long))
  return [{ name: 'one more answer, 10 000 against 100', value: longMs / shortMs, unit: '×', aim: '≤ 1.2' }]
}

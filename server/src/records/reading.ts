import type { Horse, Judging, YardReading } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { gapsOf, nearestGate, type Standing, type TenthTally } from '@still-pine/core/evidence'
import { stepOf } from '@still-pine/core/program'
import { trackKey, type Facts, type TrackKey } from '@still-pine/core/readiness'
import { allHorses } from '../data/horses'
import { newestProgram } from '../data/programs'
import { tallied, talliedByCircumstance, type TalliedPredictions } from '../data/predictions'
import { countedTracks, type CountedTrack } from '../data/tracks'
import { factsOf, judgedTracks, programOf } from './judged'
import { todayIn, type Yard } from './yard'

const groupedBy = <T>(items: readonly T[], key: (item: T) => string): ReadonlyMap<string, readonly T[]> => {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) group.push(item)
    else groups.set(key(item), [item])
  }
  return groups
}

const sumOf = <T>(items: readonly T[], value: (item: T) => number): number =>
  items.reduce((sum, item) => sum + value(item), 0)

const added = (rows: readonly TalliedPredictions[]): readonly TenthTally[] =>
  [...groupedBy(rows, ({ tenth }) => String(tenth))].map(([tenth, own]) => ({
    tenth: Number(tenth),
    predictions: sumOf(own, ({ predictions }) => predictions),
    said: sumOf(own, ({ said }) => said),
    light: sumOf(own, ({ light }) => light),
    squared: sumOf(own, ({ squared }) => squared),
  }))

/** Predictions of the yard or of one horse against what came: by school, stage and handler, and by circumstance. */
export const judgingOf = async (yard: Yard, horseId: string | null): Promise<Judging> => {
  const rows = await tallied(yard.client, horseId)
  const schools = new Map(
    await Promise.all(
      [...new Set(rows.map(({ school }) => school))].map(
        async (school) => [school, (await newestProgram(yard.client, school))!.document] as const,
      ),
    ),
  )
  const stageOf = ({ school, step }: TalliedPredictions): number =>
    stepOf(schools.get(school)!, step)?.stage ?? 0
  const groups = groupedBy(rows, (row) => [row.school, stageOf(row), row.personId].join(' '))
  return {
    day: todayIn(yard),
    groups: [...groups.values()].map((own) => {
      const { school, personId, personName } = own[0]!
      return {
        school,
        schoolName: schools.get(school)!.name,
        stage: stageOf(own[0]!),
        personId,
        personName,
        tallies: [...added(own)],
      }
    }),
    circumstances: await talliedByCircumstance(yard.client, horseId),
  }
}

const countedByHorse = async (
  yard: Yard,
): Promise<ReadonlyMap<string, ReadonlyMap<TrackKey, CountedTrack>>> =>
  new Map(
    [...groupedBy(await countedTracks(yard.client), ({ horseId }) => horseId)].map(([horseId, tracks]) => [
      horseId,
      new Map(tracks.map((track) => [trackKey(track.step, track.side), track])),
    ]),
  )

interface StandingHorse extends Standing {
  readonly horse: Horse
  readonly facts: Facts
}

const standingOf = async (yard: Yard, horse: Horse, day: string): Promise<StandingHorse> => {
  const program = await programOf(yard, horse)
  const views = await judgedTracks(yard, horse.id, program, day)
  return { horse, name: horse.name, program, views, facts: await factsOf(yard, horse, program, day) }
}

const NOTHING_COUNTED: ReadonlyMap<TrackKey, CountedTrack> = new Map()

/** Every horse's nearest gate with what holds it, and what several horses are weak on, by who asked. */
export const readYard = async (yard: Yard): Promise<YardReading> => {
  const day = todayIn(yard)
  const counted = await countedByHorse(yard)
  const standing: StandingHorse[] = []
  for (const horse of await allHorses(yard.client)) standing.push(await standingOf(yard, horse, day))
  const gaps = gapsOf(STANDARD_MODEL, standing)
  const byStep = groupedBy(await tallied(yard.client, null), ({ step }) => step)
  const handlersOf = (step: string): YardReading['gaps'][number]['handlers'] =>
    [...groupedBy(byStep.get(step) ?? [], ({ personId }) => personId).values()].map((own) => ({
      value: own[0]!.personName,
      asks: sumOf(own, ({ predictions }) => predictions),
      light: sumOf(own, ({ light }) => light),
      said: sumOf(own, ({ said }) => said),
    }))
  const nearestOf = ({ horse, program, views, facts }: StandingHorse) =>
    nearestGate(program, views, facts, counted.get(horse.id) ?? NOTHING_COUNTED, day)
  return {
    day,
    horses: standing.map((one) => {
      const nearest = nearestOf(one)
      return {
        horseId: one.horse.id,
        horseName: one.horse.name,
        programId: one.horse.programId,
        nearest: nearest && { ...nearest, heldBy: [...nearest.heldBy] },
      }
    }),
    gaps: gaps.map((gap) => ({ ...gap, weak: [...gap.weak], handlers: handlersOf(gap.step) })),
  }
}

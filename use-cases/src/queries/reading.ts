import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { gapsOf, nearestGate, type TenthTally } from '@still-pine/core/evidence'
import { stepOf } from '@still-pine/core/program'
import { trackKey } from '@still-pine/core/readiness'
import type { TalliedPredictions } from '../parts'
import { query } from '../query'

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

const summed = (rows: readonly TalliedPredictions[]): readonly TenthTally[] =>
  [...groupedBy(rows, ({ tenth }) => String(tenth))].map(([tenth, own]) => ({
    tenth: Number(tenth),
    predictions: sumOf(own, ({ predictions }) => predictions),
    said: sumOf(own, ({ said }) => said),
    came: sumOf(own, ({ came }) => came),
    squared: sumOf(own, ({ squared }) => squared),
  }))

/** Predictions of the yard or of one horse against what came: by school, stage and handler, and by circumstance. */
export const judging = query(
  'judging',
  ['tallied', 'talliedSchools', 'talliedCircumstances', 'fits', 'keptForecasts', 'toRemake'],
  ({ tallied, talliedSchools, talliedCircumstances, fits, keptForecasts, toRemake }, { today }) => {
    const schoolOf = ({ school }: TalliedPredictions) => talliedSchools.get(school)!
    const stageOf = (row: TalliedPredictions): number => stepOf(schoolOf(row), row.step)?.stage ?? 0
    const groups = groupedBy(tallied, (row) => [row.about, row.school, stageOf(row), row.personId].join(' '))
    return {
      day: today,
      groups: [...groups.values()].map((own) => {
        const [first] = own as [TalliedPredictions]
        const { about, school, personId, personName } = first
        return {
          about,
          school,
          schoolName: schoolOf(first).name,
          stage: stageOf(first),
          personId,
          personName,
          tallies: summed(own),
        }
      }),
      circumstances: talliedCircumstances,
      fits,
      forecasts: keptForecasts,
      toRemake,
    }
  },
)

/** Every horse's nearest gate with what holds it, and what several horses are weak on, by who asked. */
export const reading = query(
  'reading',
  ['standings', 'countedTracks', 'tallied'],
  ({ standings, countedTracks, tallied }, { today }) => {
    const counted = groupedBy(countedTracks, ({ horseId }) => horseId)
    const ofLight = tallied.filter(({ about }) => about !== 'calm')
    const byStep = groupedBy(ofLight, ({ step }) => step)
    const handlersOf = (step: string) =>
      [...groupedBy(byStep.get(step) ?? [], ({ personId }) => personId).values()].map((own) => ({
        value: own[0]!.personName,
        asks: sumOf(own, ({ predictions }) => predictions),
        light: sumOf(own, ({ came }) => came),
        said: sumOf(own, ({ said }) => said),
      }))
    return {
      day: today,
      horses: standings.map(({ horse, program, views, facts }) => ({
        horseId: horse.id,
        horseName: horse.name,
        programId: horse.programId,
        judgedBy: horse.judgedBy,
        nearest: nearestGate(program, views, {
          facts,
          counted: new Map(
            (counted.get(horse.id) ?? []).map((track) => [trackKey(track.step, track.side), track]),
          ),
          on: today,
        }),
      })),
      gaps: gapsOf(STANDARD_MODEL, standings).map((gap) => ({ ...gap, handlers: handlersOf(gap.step) })),
    }
  },
)

import type { Entry, Horse, Incident, Line, Me, Measurement, Passport } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { bodyOf } from '@still-pine/core/body'
import { ageBounds, CONFIRMATIONS } from '@still-pine/core/facts'
import { firstAsks, promisesOf, promiseVerdict } from '@still-pine/core/passport'
import type { Program } from '@still-pine/core/program'
import { gateVerdicts, type Facts, type Views } from '@still-pine/core/readiness'
import { rideBook } from '@still-pine/core/ride'

interface Told {
  readonly me: Me
  readonly horse: Horse
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  readonly entries: readonly Entry[]
  readonly incidents: readonly Incident[]
  readonly measurements: readonly Measurement[]
}

type Gates = Line['gates']

const cueOf = (cue: EntryOf<'cue'>): Passport['cues'][number] => {
  const { meaning, channel, place, side, rhythm, count, gapSeconds, where, groundOnly } = cue
  return { meaning, channel, place, side, rhythm, count, gapSeconds, where, groundOnly }
}

const incidentOf = (incident: Incident): Passport['incidents'][number] => {
  const { kind, on, step, side, mounted, fell, hurt, where, before, after } = incident
  return { kind, on, step, side, mounted, fell, hurt, where, before, after }
}

const kitOf = (entries: readonly Entry[]): Passport['kit'] => {
  const worn = entriesOf(entries, 'tack').at(-1)
  return {
    saddle: worn?.saddle ?? '',
    pad: worn?.pad ?? '',
    bridle: worn?.bridle ?? '',
    bit: worn?.bit ?? '',
    girthHole: worn?.girthHole ?? null,
    lineM: worn?.lineM ?? null,
    mouthMm: worn?.mouthMm ?? null,
  }
}

const ridesOf = (entries: readonly Entry[], horse: Horse, on: string): Passport['rides'] => {
  const told = entriesOf(entries, 'ride').map((one) => ({
    ...one,
    beganAt: one.beganAt === null ? null : Date.parse(one.beganAt),
  }))
  const aged = { born: horse.born, age: horse.estimate }
  const { rides, next } = rideBook(told, { on, ageOn: (day) => ageBounds(aged, day)?.low ?? null })
  return {
    ridden: rides.length,
    lastOn: rides.at(-1)?.told.on ?? null,
    nextMinutes: next.totalMinutes,
    nextTrotMinutes: next.trotMinutes,
    nextCanterMinutes: next.canterMinutes,
  }
}

const minutes = (of: number): string => String(Math.floor(2 * of + 1e-9) / 2)

const firstWeekOf = ({ program, views }: Told, rides: Passport['rides']): readonly string[] => {
  const asks = firstAsks(program, views)
  return [
    'Two or three days to arrive: company in sight, water, hay, nobody on it.',
    ...(asks.length > 0
      ? [`Then ask what it knows, from the ground, the first rung first: ${asks.join(', ')}.`]
      : ['Then begin at the beginning: it has not been asked anything here.']),
    'An arrival check tells what holds with new hands in a new place; a place is new to it whatever it knows.',
    ...(rides.ridden > 0
      ? [
          `The first ride not before that, with ground work first and a helper: at most ${minutes(Math.min(5, rides.nextMinutes ?? 5))} minutes of walk.`,
        ]
      : []),
  ]
}

/** The gates it is not ready for, those with one and the same reason in one line. */
const shutBehind = (gates: Gates): readonly string[] => {
  const bySentence = new Map<string, string[]>()
  for (const { gate, name, verdict, sentence } of gates)
    if (gate !== 'hand-over' && (verdict === 'not-yet' || verdict === 'stop'))
      bySentence.set(sentence, [...(bySentence.get(sentence) ?? []), name])
  return [...bySentence].map(([sentence, names]) => `${names.join(', ')}: ${sentence}`)
}

const notToOf = ({ facts }: Told, gates: Gates, promises: Passport['promised']): readonly string[] => [
  ...shutBehind(gates),
  ...promises
    .filter(({ holds }) => !holds)
    .map(
      ({ name, side, why }) =>
        `Do not count on ${name.toLowerCase()}${side === 'none' ? '' : `, ${side}`}: ${why}.`,
    ),
  ...(facts.bitted ? [] : ['No bit: it was not ridden in one here.']),
]

/** What goes with a horse to its next hands, from what was recorded; who asks for it signs it. */
export const passportFrom = (told: Told, on: string): Passport => {
  const { me, horse, program, views, facts, entries, incidents, measurements } = told
  const age = ageBounds({ born: horse.born, age: horse.estimate }, on)
  const body = bodyOf(
    measurements.filter(({ takenBack }) => !takenBack),
    { on, ageOn: (day) => ageBounds({ born: horse.born, age: horse.estimate }, day) },
  )
  const promised = [...promisesOf(program, views, { promised: horse.handOver, on })]
  const rides = ridesOf(entries, horse, on)
  // What is confirmed on a morning says nothing of the horse.
  const gates = gateVerdicts(program, views, { facts: { ...facts, confirmed: CONFIRMATIONS }, on })
  const girth = measurements.findLast(({ takenBack, girthCm }) => !takenBack && girthCm !== null)
  return {
    format: 'still-pine-passport',
    version: 1,
    horse: {
      name: horse.name,
      born: horse.born,
      age: horse.born === null && age !== null ? { lowMonths: age.low, highMonths: age.high } : null,
      sex: horse.sex,
      kind: horse.kind,
      marks: horse.marks,
      bitted: horse.bitted,
    },
    signed: { by: me.person.name, yard: me.yard.name, on },
    school: { key: horse.school, name: horse.schoolName },
    promised,
    verdict: promiseVerdict(promised),
    cues: entriesOf(entries, 'cue').map(cueOf),
    kit: kitOf(entries),
    sizes: {
      withersCm: body.heights.at(-1)?.withersCm ?? horse.heightCm,
      girthCm: girth?.girthCm ?? null,
      weightKg: body.weight === null ? null : Math.round(body.weight.kg),
    },
    rides,
    incidents: incidents.filter(({ withdrawn }) => withdrawn === null).map(incidentOf),
    firstWeek: [...firstWeekOf(told, rides)],
    notTo: [...notToOf(told, gates as Gates, promised)],
  }
}

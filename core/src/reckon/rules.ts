import type { Calm, Grade } from '../answer'
import { over, under } from '../arithmetic'
import {
  ageBounds,
  bodyWeight,
  condition,
  growth,
  hands,
  inchesOfHands,
  riderShare,
  weightTrend,
  type KnownAge,
} from '../body'
import { CARE_KINDS, careDue, careEvent, isTheVets, youngBlock } from '../care-calendar'
import { CHANNELS, cueBook, RHYTHMS, sameCue } from '../cues'
import { FEATURES, goingReins, goingWeeks, tiresAt, type Feature } from '../going'
import { countedSteps, holdGrade, holdPlan, MEASURES, setOfThree } from '../holds'
import {
  CHANGED,
  fenceDistance,
  jumps,
  landingLead,
  newThing,
  poles,
  reShow,
  SIXTEEN_HANDS_CM,
} from '../jumping'
import { heat, notItself, SEEN_SIGNS, settleTrend, stopNow } from '../leave-off'
import { circle, GAITS, gaitPresses, lungeLoad, REINS, SPEEDS, STEPS_OF_GAIT, strides } from '../load'
import { faultRepairs, incidentPatterns } from '../patterns'
import {
  bitContact,
  bitSize,
  DAY_KINDS,
  extraAid,
  nextRide,
  ride,
  strings,
  tackDue,
  tomorrow,
  tracer,
} from '../ride'
import { heart, pull } from '../sensors'
import {
  BadField,
  calm,
  clock,
  count,
  day,
  grade,
  horseKg,
  list,
  maybe,
  minutes,
  months,
  nth,
  number,
  orNull,
  record,
  rows,
  rule,
  shaped,
  text,
  whole,
  withers,
  word,
  yes,
  type Rule,
} from './fields'

const bad = (field: string, reason: string): never => {
  throw new BadField(field, reason)
}

/** Each must lie behind the one before it. */
const mustRise = <T>(
  items: readonly T[],
  of: (item: T) => number | string,
  field: (i: number) => string,
): void =>
  items.forEach((item, i) => {
    if (i > 0 && of(item) <= of(items[i - 1]!)) bad(field(i), 'It does not lie after the one before.')
  })

const tapeKind = word('adult', 'yearling', 'weanling')
const gait = word(...GAITS)
const worked = rows({ rein: word(...REINS), gait, minutes }, 0, 500)
const speeds = maybe(
  record({
    walk: maybe(number(0.5, 3), SPEEDS.walk),
    trot: maybe(number(1.5, 6), SPEEDS.trot),
    canter: maybe(number(2.5, 12), SPEEDS.canter),
  }),
  SPEEDS,
)

const body = {
  bodyWeight: rule({
    fields: {
      girthCm: maybe(number(40, 260)),
      lengthCm: maybe(number(40, 260)),
      girthIn: maybe(number(16, 102)),
      lengthIn: maybe(number(16, 102)),
      kind: tapeKind,
    },
    bad: ({ girthCm, lengthCm, girthIn, lengthIn }) => {
      const wantsCm = girthCm !== null || lengthCm !== null || (girthIn === null && lengthIn === null)
      if (wantsCm && girthCm === null) bad('girthCm', 'Half of a pair is missing.')
      if (wantsCm && lengthCm === null) bad('lengthCm', 'Half of a pair is missing.')
      if (wantsCm && girthIn !== null) bad('girthIn', 'Centimetres or inches, not both.')
      if (wantsCm && lengthIn !== null) bad('lengthIn', 'Centimetres or inches, not both.')
      if (!wantsCm && girthIn === null) bad('girthIn', 'Half of a pair is missing.')
      if (!wantsCm && lengthIn === null) bad('lengthIn', 'Half of a pair is missing.')
    },
    reckon: ({ girthCm, lengthCm, girthIn, lengthIn, kind }) =>
      girthCm === null
        ? bodyWeight({ girth: girthIn!, length: lengthIn!, unit: 'in', kind })
        : bodyWeight({ girth: girthCm, length: lengthCm!, unit: 'cm', kind }),
  }),
  growth: rule({
    fields: {
      ageLowMonths: months,
      ageHighMonths: maybe(months),
      withersCm: withers,
      croupCm: number(50, 215),
      weightKg: maybe(horseKg),
    },
    bad: ({ ageLowMonths, ageHighMonths }) => {
      if (ageHighMonths !== null && under(ageHighMonths, ageLowMonths))
        bad('ageHighMonths', 'The bounds are turned round.')
    },
    reckon: growth,
  }),
  condition: rule({
    fields: { score: number(1, 9) },
    bad: ({ score }) => {
      if (!Number.isInteger(2 * score)) bad('score', 'It goes by halves.')
    },
    reckon: ({ score }) => condition(score),
  }),
  hands: rule({
    fields: { hands: maybe(text), cm: maybe(number(50, 213)) },
    bad: (given) => {
      if (given.hands === null && given.cm === null) bad('hands', 'Neither hands nor centimetres.')
      if (given.hands !== null && inchesOfHands(given.hands) === null)
        bad('hands', 'Hands are from 5 to 20.3, and .4 does not exist: 15.2 is fifteen hands and two inches.')
      if (given.hands !== null && given.cm !== null) bad('cm', 'Hands or centimetres, not both.')
    },
    reckon: (given) =>
      given.hands === null ? hands({ cm: given.cm! }) : hands({ inches: inchesOfHands(given.hands)! }),
  }),
  riderShare: rule({
    fields: {
      riderKg: number(15, 200),
      tackKg: number(0, 40),
      horseKg,
      rideNumber: nth,
      conditionScore: maybe(number(1, 9)),
    },
    reckon: riderShare,
  }),
  weightTrend: rule({
    fields: {
      rows: rows({ day, kg: horseKg, method: word('scale', 'adult', 'yearling', 'weanling') }, 1, 500),
      ageMonths: maybe(months),
    },
    bad: ({ rows: weighed }) =>
      mustRise(
        weighed,
        (row) => row.day,
        (i) => `rows.${i}.day`,
      ),
    reckon: ({ rows: weighed, ageMonths }) => weightTrend(weighed, ageMonths),
  }),
  ageBounds: rule({
    fields: {
      how: word('day', 'year', 'teeth', 'said', 'range', 'unknown'),
      on: day,
      born: maybe(day),
      year: maybe(whole(1950, 2099)),
      seenOn: maybe(day),
      months: maybe(whole(0, 600)),
      lowMonths: maybe(whole(0, 600)),
      highMonths: maybe(whole(0, 600)),
    },
    bad: ({ how, on, ...told }) => {
      const needs = {
        day: ['born'],
        year: ['year'],
        teeth: ['seenOn', 'months'],
        said: ['seenOn', 'months'],
        range: ['seenOn', 'lowMonths', 'highMonths'],
        unknown: [],
      } as const satisfies Record<typeof how, readonly (keyof typeof told)[]>
      const missing = needs[how].find((field) => told[field] === null)
      if (missing) bad(missing, 'This is missing.')
      if (told.born !== null && told.born > on) bad('born', 'It lies after the day.')
      if (told.year !== null && `${told.year}-01-01` > on) bad('year', 'It lies after the day.')
      if (told.seenOn !== null && told.seenOn > on) bad('seenOn', 'It lies after the day.')
      if (told.lowMonths !== null && told.highMonths !== null && told.highMonths < told.lowMonths)
        bad('highMonths', 'The bounds are turned round.')
    },
    reckon: ({ on, ...age }) => ageBounds(on, age as unknown as KnownAge),
  }),
}

const load = {
  circle: rule({
    fields: {
      lineM: number(2, 30),
      handM: maybe(number(0, 10), 1),
      walkM: maybe(number(0, 10), 0),
      wantM: maybe(number(4, 60)),
    },
    bad: ({ lineM, handM }) => {
      if (!under(handM, lineM)) bad('handM', 'More is held than the line is long.')
    },
    reckon: circle,
  }),
  lungeLoad: rule({
    fields: {
      ageLowMonths: months,
      diameterM: number(4, 60),
      rows: worked,
      changes: maybe(count, 0),
      speedsMps: speeds,
    },
    reckon: ({ speedsMps, ...told }) => lungeLoad({ ...told, speeds: speedsMps }),
  }),
  gaitPresses: rule({
    fields: {
      rein: word('left', 'right'),
      presses: rows({ at: clock, key: word('forward', 'back', 'side') }, 1, 2000),
      endAt: clock,
    },
    bad: ({ presses, endAt }) => {
      presses.forEach(({ at }, i) => {
        if (i > 0 && at < presses[i - 1]!.at) bad(`presses.${i}.at`, 'It lies before the one before.')
      })
      if (endAt < presses.at(-1)!.at) bad('endAt', 'It ends before its last press.')
    },
    reckon: ({ rein, presses, endAt }) => gaitPresses(rein, presses, endAt),
  }),
  strides: rule({
    fields: {
      seconds: number(0, 600),
      gait: word(...STEPS_OF_GAIT),
      lagSeconds: maybe(number(0, 2), 0.4),
      withersCm: maybe(withers, SIXTEEN_HANDS_CM),
    },
    reckon: strides,
  }),
}

const holds = {
  holdPlan: rule({
    fields: {
      measure: word(...MEASURES),
      amount: number(0.25, 7200),
      sets: maybe(whole(1, 20), 1),
      sides: maybe(whole(1, 2), 1),
      restSeconds: maybe(number(0, 900), 30),
      setUpSeconds: maybe(number(0, 900), 10),
      gait: maybe(gait),
      diameterM: maybe(number(4, 60)),
      secondsEach: maybe(number(0.2, 600)),
    },
    bad: ({ measure, amount, gait: at, diameterM }) => {
      const isCounted = measure === 'steps' || measure === 'repetitions'
      if (isCounted && !Number.isInteger(amount)) bad('amount', 'Steps and repetitions are whole.')
      if ((measure === 'metres' || measure === 'laps') && at === null)
        bad('gait', 'At which gait is missing.')
      if (measure === 'laps' && diameterM === null) bad('diameterM', 'Of which circle is missing.')
    },
    reckon: holdPlan,
  }),
  holdGrade: rule({
    fields: {
      ladder: rows({ measure: word(...MEASURES), amount: number(0.25, 7200) }, 1, 12),
      rung: whole(1, 12),
      end: word('full', 'cut', 'left'),
      done: number(0, 7200),
      light: count,
      firm: count,
    },
    bad: ({ ladder, rung, end, done }) => {
      if (rung > ladder.length) bad('rung', 'The ladder has no such rung.')
      if (end === 'full' && under(done, ladder[rung - 1]!.amount)) bad('done', 'It was not held in full.')
    },
    reckon: holdGrade,
  }),
  countedSteps: rule({
    fields: { asked: nth, straight: count, paceGrade: grade },
    reckon: ({ asked, straight, paceGrade }) => countedSteps(asked, straight, paceGrade as Grade),
  }),
  setOfThree: rule({
    fields: { answers: rows({ grade, calm }, 1, 3) },
    reckon: ({ answers }) => setOfThree(answers as readonly { grade: Grade; calm: Calm | null }[]),
  }),
}

const riding = {
  ride: rule({
    fields: {
      rideNumber: nth,
      ageLowMonths: months,
      groundMinutes: minutes,
      helper: yes,
      rows: worked,
      speedsMps: speeds,
    },
    reckon: ({ speedsMps, ...told }) => ride({ ...told, speeds: speedsMps }),
  }),
  nextRide: rule({
    fields: {
      rideNumber: nth,
      ageLowMonths: months,
      lastTotalMinutes: number(0.5, 240),
      lastTrotMinutes: minutes,
      lastCanterMinutes: minutes,
      went: word('well', 'so-so', 'badly'),
      daysSince: count,
    },
    bad: ({ lastTotalMinutes, lastTrotMinutes, lastCanterMinutes }) => {
      if (over(lastTrotMinutes + lastCanterMinutes, lastTotalMinutes))
        bad('lastTrotMinutes', 'More was trotted and cantered than was ridden.')
    },
    reckon: nextRide,
  }),
  tomorrow: rule({
    fields: { ageLowMonths: months, days: list(word(...DAY_KINDS), 1, 28), first: yes, sore: yes },
    reckon: tomorrow,
  }),
  bitContact: rule({
    fields: {
      ageLowMonths: months,
      mouthPassed: yes,
      carries: rows({ day, minutes, quietMinutes: minutes }, 0, 500),
    },
    bad: ({ carries }) => {
      carries.forEach((carry, i) => {
        if (i > 0 && carry.day <= carries[i - 1]!.day)
          bad(`carries.${i}.day`, 'It does not lie after the one before.')
        if (over(carry.quietMinutes, carry.minutes))
          bad(`carries.${i}.quietMinutes`, 'More minutes were quiet than it was carried.')
      })
    },
    reckon: ({ ageLowMonths, mouthPassed, carries }) => bitContact(ageLowMonths, mouthPassed, carries),
  }),
  strings: rule({
    fields: { lastCm: number(30, 400), askedCm: number(30, 400), lastWell: yes, noseAhead: yes },
    reckon: strings,
  }),
  bitSize: rule({
    fields: { mouthMm: number(70, 190), cheek: word('loose', 'fixed') },
    reckon: ({ mouthMm, cheek }) => bitSize(mouthMm, cheek),
  }),
  tackDue: rule({
    fields: {
      on: day,
      ageLowMonths: months,
      checkedOn: orNull(day),
      passed: yes,
      kgThen: maybe(horseKg),
      kgNow: maybe(horseKg),
      withersCmThen: maybe(withers),
      withersCmNow: maybe(withers),
      girthHoleThen: maybe(count),
      girthHoleNow: maybe(count),
    },
    bad: ({ on, checkedOn }) => {
      if (checkedOn !== null && checkedOn > on) bad('checkedOn', 'It lies after the day.')
    },
    reckon: ({ on, ageLowMonths, checkedOn, passed, ...moved }) =>
      tackDue({
        on,
        ageLowMonths,
        checkedOn,
        passed,
        kg: [moved.kgThen, moved.kgNow],
        withersCm: [moved.withersCmThen, moved.withersCmNow],
        girthHole: [moved.girthHoleThen, moved.girthHoleNow],
      }),
  }),
  tracer: rule({
    fields: {
      ridden: rows({ grade, calm }, 1, 200),
      wasSolid: yes,
      newOneSided: yes,
      twin: orNull(
        record({ chance: number(0, 1), low: number(0, 1), lastColdPassed: orNull(yes), daysSince: count }),
      ),
    },
    reckon: (asked) =>
      tracer({ ...asked, ridden: asked.ridden as readonly { grade: Grade; calm: Calm | null }[] }),
  }),
  extraAid: rule({
    fields: {
      rides: rows({ asks: nth, tapped: count, mostTaps: count }, 1, 200),
      untappedInARow: count,
    },
    bad: ({ rides }) =>
      rides.forEach(({ asks, tapped }, i) => {
        if (tapped > asks) bad(`rides.${i}.tapped`, 'More were tapped than asked.')
      }),
    reckon: ({ rides, untappedInARow }) => extraAid(rides, untappedInARow),
  }),
}

const jumping = {
  poles: rule({
    fields: {
      gait,
      withersCm: withers,
      poles: maybe(whole(1, 8), 1),
      raisedCm: maybe(number(0, 60), 0),
    },
    reckon: poles,
  }),
  fenceDistance: rule({
    fields: {
      withersCm: withers,
      strides: whole(0, 6),
      approach: word('trot', 'canter'),
      heightCm: number(0, 130),
    },
    reckon: fenceDistance,
  }),
  jumps: rule({
    fields: {
      ageLowMonths: months,
      withersCm: withers,
      rideNumber: nth,
      session: nth,
      heightCm: number(0, 200),
      effortsToday: count,
      effortsEarlierThisWeek: count,
      sessionsEarlierThisWeek: count,
      daysSinceLast: orNull(count),
      polesBothReins: yes,
      raisedOrdinary: yes,
      changed: list(word(...CHANGED), 0, 7),
      goodLeft: count,
      goodRight: count,
    },
    reckon: jumps,
  }),
  landingLead: rule({
    fields: { left: whole(0, 500), right: whole(0, 500) },
    reckon: ({ left, right }) => landingLead(left, right),
  }),
  reShow: rule({
    fields: { on: day, things: rows({ thing: text, lastShown: orNull(day), good: yes }, 0, 500) },
    bad: ({ on, things }) =>
      things.forEach(({ lastShown }, i) => {
        if (lastShown !== null && lastShown > on) bad(`things.${i}.lastShown`, 'It lies after the day.')
      }),
    reckon: ({ on, things }) => reShow(on, things),
  }),
  newThing: rule({
    fields: { shown: whole(0, 300), good: whole(0, 300) },
    bad: ({ shown, good }) => {
      if (good > shown) bad('good', 'More went well than were shown.')
    },
    reckon: ({ shown, good }) => newThing(shown, good),
  }),
}

const cues = {
  cueBook: rule({
    fields: {
      cues: rows(
        {
          id: text,
          channel: word(...CHANNELS),
          place: text,
          side: maybe(word('left', 'right', 'both'), 'both' as const),
          rhythm: word(...RHYTHMS),
          count: maybe(whole(1, 9), 1),
          gapSeconds: maybe(number(0, 10), 0),
          meaning: text,
          where: word('ground', 'ridden', 'both'),
          groundOnly: maybe(yes, false),
        },
        0,
        300,
      ),
      tools: maybe(rows({ tool: text, drives: yes, accepted: yes, tellApart: list(text, 0, 9) }, 0, 50), []),
    },
    bad: ({ cues: all }) =>
      all.forEach((cue, i) => {
        const before = all.slice(0, i)
        if (before.some(({ id }) => id === cue.id)) bad(`cues.${i}.id`, 'This id is there already.')
        if (before.some((one) => sameCue(one, cue))) bad(`cues.${i}`, 'This cue is there already.')
      }),
    reckon: ({ cues: all, tools }) => cueBook(all, tools),
  }),
}

const leavingOff = {
  settleTrend: rule({
    fields: {
      approaches: rows({ settleSeconds: number(0, 3600), awaySeconds: maybe(number(0, 3600)) }, 1, 200),
    },
    reckon: ({ approaches }) => settleTrend(approaches),
  }),
  stopNow: rule({
    fields: { minute: minutes, signs: rows({ sign: word(...SEEN_SIGNS), minute: minutes }, 0, 500) },
    bad: ({ minute, signs }) =>
      signs.forEach((sign, i) => {
        if (over(sign.minute, minute)) bad(`signs.${i}.minute`, 'It lies after now.')
      }),
    reckon: ({ minute, signs }) => stopNow(minute, signs),
  }),
  heat: rule({
    fields: { airC: number(-40, 55), humidityPercent: number(0, 100), usedToHeat: maybe(yes, true) },
    reckon: ({ airC, humidityPercent, usedToHeat }) => heat(airC, humidityPercent, usedToHeat),
  }),
  notItself: rule({
    fields: {
      asks: rows(
        { predicted: number(0, 1), light: yes, predictedCalm: maybe(number(0, 1)), tight: maybe(yes) },
        0,
        200,
      ),
    },
    bad: ({ asks }) =>
      asks.forEach(({ predictedCalm, tight }, i) => {
        if (tight !== null && predictedCalm === null) bad(`asks.${i}.predictedCalm`, 'This is missing.')
      }),
    reckon: ({ asks }) => notItself(asks),
  }),
}

const FEATURE_NAMES = Object.keys(FEATURES) as Feature[]
const feature = word(...FEATURE_NAMES)
const mark = orNull(number(0, 7200))

/** A mark is 0 to 3; only the seconds to a stretch are longer, or were not seen. */
const checkMark = (of: Feature, value: number | null, field: string): void => {
  if (of === 'secondsToStretch') return
  if (value === null || !Number.isInteger(value) || value > 3) bad(field, 'A mark is 0, 1, 2 or 3.')
}

const goings = {
  goingReins: rule({
    fields: { feature, sessions: rows({ left: mark, right: mark }, 1, 200) },
    bad: ({ feature: of, sessions }) =>
      sessions.forEach(({ left, right }, i) => {
        checkMark(of, left, `sessions.${i}.left`)
        checkMark(of, right, `sessions.${i}.right`)
      }),
    reckon: ({ feature: of, sessions }) => goingReins(of, sessions),
  }),
  goingWeeks: rule({
    fields: { feature, before: list(mark, 1, 8), now: list(mark, 1, 8) },
    bad: ({ feature: of, before, now }) => {
      before.forEach((value, i) => checkMark(of, value, `before.${i}`))
      now.forEach((value, i) => checkMark(of, value, `now.${i}`))
    },
    reckon: ({ feature: of, before, now }) => goingWeeks(of, before, now),
  }),
  tiresAt: rule({
    fields: {
      notes: rows({ minute: minutes, swing: whole(0, 3) }, 0, 240),
      tiredSigns: maybe(list(minutes, 0, 100), []),
    },
    bad: ({ notes }) =>
      mustRise(
        notes,
        ({ minute }) => minute,
        (i) => `notes.${i}.minute`,
      ),
    reckon: ({ notes, tiredSigns }) => tiresAt(notes, tiredSigns),
  }),
}

const patterns = {
  incidentPatterns: rule({
    fields: {
      factors: rows(
        {
          factor: text,
          levels: rows({ level: text, asks: whole(0, 1_000_000), incidents: whole(0, 1_000) }, 1, 60),
        },
        1,
        12,
      ),
    },
    reckon: ({ factors }) => incidentPatterns(factors),
  }),
  faultRepairs: rule({
    fields: { fault: text, repairs: rows({ repair: text, tried: count, worked: count }, 1, 30) },
    bad: ({ repairs }) =>
      repairs.forEach(({ tried, worked }, i) => {
        if (worked > tried) bad(`repairs.${i}.worked`, 'It worked more often than it was tried.')
      }),
    reckon: ({ fault, repairs }) => faultRepairs(fault, repairs),
  }),
}

const eventId = shaped(/^[A-Za-z0-9-]{1,64}$/, 'an id of letters, digits and hyphens')

const isInstant = (told: string): boolean => {
  const at = new Date(told)
  return !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 19) === told.slice(0, 19)
}

const careCalendar = {
  careDue: rule({
    fields: {
      kind: word(...CARE_KINDS),
      on: day,
      ageLowMonths: months,
      lastOn: orNull(day),
      minDays: maybe(count),
      maxDays: maybe(count),
    },
    bad: ({ kind, on, lastOn, minDays, maxDays }) => {
      const wants = isTheVets(kind) || minDays !== null || maxDays !== null
      if (wants && minDays === null) bad('minDays', 'This is missing.')
      if (wants && maxDays === null) bad('maxDays', 'This is missing.')
      if (minDays !== null && maxDays !== null && maxDays < minDays)
        bad('maxDays', 'The bounds are turned round.')
      if (lastOn !== null && lastOn > on) bad('lastOn', 'It lies after the day.')
    },
    reckon: ({ minDays, maxDays, ...care }) =>
      careDue({ ...care, days: minDays === null || maxDays === null ? null : [minDays, maxDays] }),
  }),
  careEvent: rule({
    fields: {
      yardId: eventId,
      horseId: eventId,
      horse: text,
      kind: word(...CARE_KINDS),
      cycle: count,
      sequence: count,
      stampedAt: shaped(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/, 'an instant in UTC (2026-03-01T12:00:00Z)'),
      fromOn: day,
      byOn: day,
    },
    bad: ({ horse, stampedAt, fromOn, byOn }) => {
      // A line break is written as one.
      if (/[\u0000-\u0009\u000b\u000c\u000e-\u001f\u007f]/.test(horse))
        bad('horse', 'Control characters cannot be written down.')
      if (!isInstant(stampedAt)) bad('stampedAt', 'There is no such moment.')
      if (byOn < fromOn) bad('byOn', 'It ends before it begins.')
    },
    reckon: careEvent,
  }),
  youngBlock: rule({
    fields: {
      sessionsDone: count,
      daysGone: count,
      goals: rows({ goal: text, bursts: count }, 0, 50),
    },
    reckon: ({ sessionsDone, daysGone, goals }) => youngBlock(sessionsDone, daysGone, goals),
  }),
}

const sensors = {
  heart: rule({
    fields: {
      samples: rows({ at: clock, bpm: number(0, 500) }, 1, 20_000),
      askAt: maybe(clock),
      calm,
    },
    bad: ({ samples }) =>
      mustRise(
        samples,
        ({ at }) => at,
        (i) => `samples.${i}.at`,
      ),
    reckon: ({ samples, askAt, calm: said }) => heart(samples, askAt, said as Calm | null),
  }),
  pull: rule({
    fields: {
      samples: rows({ at: clock, newtons: number(-20, 5000) }, 2, 20_000),
      limitNewtons: number(0.5, 1000),
    },
    bad: ({ samples }) =>
      mustRise(
        samples,
        ({ at }) => at,
        (i) => `samples.${i}.at`,
      ),
    reckon: ({ samples, limitNewtons }) => pull(samples, limitNewtons),
  }),
}

/** Every rule by which something of a horse is reckoned, by its name. */
export const RULES: Readonly<Record<string, Rule>> = {
  ...body,
  ...load,
  ...holds,
  ...riding,
  ...jumping,
  ...cues,
  ...leavingOff,
  ...goings,
  ...patterns,
  ...careCalendar,
  ...sensors,
}

import { addDays, type Day, type Side } from '../answer'
import type { AgainstPermit, FrozenTrack } from '../blocks'
import { snapshotOf } from '../blocks'
import type { Worked } from '../counters'
import { nearestGate } from '../evidence'
import type { Facts, Hurt, Incident } from '../facts'
import { CONFIRMATIONS, INCIDENT_WORDS } from '../facts'
import { knownStep, rungAt, rungName, stepOf, type Program } from '../program'
import type { State, Verdict, Views } from '../readiness'

/** One step on one day: how often it was asked, how many of it were light and not tight, and the hardest of them. */
export interface StepDone {
  readonly name: string
  readonly asked: number
  /** Light, and not tight where it was noted. */
  readonly light: number
  /** In words; empty where the step is of another school by now. */
  readonly hardest: string
}

/** A day of work, its steps in the order in which they were asked. */
export interface DayDone {
  readonly day: Day
  readonly place: string | null
  readonly steps: readonly StepDone[]
}

export interface SkillTold {
  readonly name: string
  readonly side: Side
  readonly state: State
  /** The hardest it holds to, in words; empty where it holds to none. */
  readonly holds: string
  readonly lastDay: Day | null
}

/** The next gate before a horse, and what keeps it from being sooner. */
export interface NextTold {
  readonly name: string
  readonly verdict: Verdict
  readonly sentence: string
  /** What it still waits for, the furthest first. */
  readonly waitsFor: readonly string[]
}

/** What an owner is told of a horse on any day: only what was recorded. */
export interface Report {
  readonly day: Day
  /** The first day told of. */
  readonly from: Day
  readonly school: string
  /** Newest first. */
  readonly done: readonly DayDone[]
  readonly holds: readonly SkillTold[]
  readonly underWay: readonly SkillTold[]
  readonly next: NextTold | null
  /** When it comes before a gate, as it was reckoned last; a range with the day it was made. */
  readonly forecast: string | null
  /** Incidents of these days, told plainly, newest first. */
  readonly incidents: readonly string[]
  /** Skills at which tight was noted more often than not. */
  readonly tight: readonly string[]
  readonly against: readonly AgainstPermit[]
  /** Those of these days that the yard chose, the newest first. */
  readonly pictures: readonly PictureTold[]
}

/** A picture, and what is seen on it. */
export interface PictureTold {
  readonly id: string
  readonly day: Day
  readonly words: string
}

/** Of a report that is not of a block: as many days back. */
export const REPORT_DAYS = 28

/** The first day of a report: the block's, or four weeks back where none is open or it is longer. */
export const reportFrom = (day: Day, blockFrom: Day | null): Day => {
  const back = addDays(day, -REPORT_DAYS)
  return blockFrom !== null && blockFrom > back ? blockFrom : back
}

/** What was worked, with where and how well. */
export interface WorkedWell extends Worked {
  readonly place: string | null
  /** Of its answers, light and not tight. */
  readonly clean: number
}

interface ToldIncident extends Incident {
  readonly after: string
}

interface Parts {
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
  readonly day: Day
  readonly from: Day
  /** What was worked, in any order; only what lies within the days is told. */
  readonly worked: readonly WorkedWell[]
  readonly incidents: readonly ToldIncident[]
  readonly against: readonly AgainstPermit[]
  readonly forecast: string | null
  /** Pictures chosen for the owner, of any day. */
  readonly pictures: readonly PictureTold[]
}

const groupedBy = <T>(items: readonly T[], key: (item: T) => string): readonly (readonly T[])[] => {
  const groups = new Map<string, T[]>()
  for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item])
  return [...groups.values()]
}

const sumOf = (rows: readonly WorkedWell[], of: 'answers' | 'clean'): number =>
  rows.reduce((sum, row) => sum + row[of], 0)

/** Both sides of a step are one line. */
const stepDone = (program: Program, rows: readonly WorkedWell[]): StepDone => {
  const [{ step: key }] = rows as readonly [WorkedWell, ...WorkedWell[]]
  const step = stepOf(program, key)
  return {
    name: knownStep(program, key)?.name ?? key,
    asked: sumOf(rows, 'answers'),
    light: sumOf(rows, 'clean'),
    hardest: step
      ? rungName(step, rungAt(step, Math.max(...rows.map(({ hardestRung }) => hardestRung))))
      : '',
  }
}

const daysDone = (program: Program, worked: readonly WorkedWell[]): readonly DayDone[] =>
  groupedBy(worked, ({ day }) => day)
    .map((rows) => {
      const inOrder = [...rows].sort((a, b) => a.from - b.from)
      return {
        day: inOrder[0]!.day,
        place: inOrder.find(({ place }) => place !== null)?.place ?? null,
        steps: groupedBy(inOrder, ({ step }) => step).map((own) => stepDone(program, own)),
      }
    })
    .sort((a, b) => b.day.localeCompare(a.day))

const HURT_WORDS: Readonly<Record<Hurt, string>> = {
  none: 'nobody was hurt',
  person: 'a person was hurt',
  horse: 'the horse was hurt',
}

const upper = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

const incidentWords = (program: Program, { kind, on, step, hurt, fell, after }: ToldIncident): string => {
  const at = step ? ` at ${(knownStep(program, step)?.name ?? step).toLowerCase()}` : ''
  const facts = [HURT_WORDS[hurt ?? 'none'], fell ? 'it fell' : ''].filter(Boolean).join(', ')
  return `${upper(INCIDENT_WORDS[kind])} on ${on}${at}: ${facts}.${after ? ` After it: ${after}` : ''}`
}

const told = ({ name, side, state, holds, lastDay }: FrozenTrack): SkillTold => ({
  name,
  side,
  state,
  holds,
  lastDay,
})

const sideAfter = (side: Side): string => (side === 'none' ? '' : `, ${side}`)

/** Both sides of a step are one line where they stand the same. */
const withSidesTogether = (skills: readonly SkillTold[]): readonly SkillTold[] =>
  skills.flatMap((skill, i) => {
    const isSame = (other: SkillTold | undefined): boolean =>
      other?.name === skill.name && other.state === skill.state && other.holds === skill.holds
    const [before, after] = [skills[i - 1], skills[i + 1]]
    if (skill.side === 'right' && isSame(before)) return []
    if (skill.side !== 'left' || !isSame(after)) return [skill]
    const lastDay =
      [skill.lastDay, after!.lastDay]
        .filter((day) => day !== null)
        .sort()
        .at(-1) ?? null
    return [{ ...skill, side: 'none', lastDay }]
  })

/**
 * A horse told to its owner on a day: what was done and in which order, what holds, what is next and why not sooner,
 * incidents told plainly. It says only what was recorded: tight only where tight was noted.
 */
export const reportOf = ({
  program,
  views,
  facts,
  day,
  from,
  worked,
  incidents,
  against,
  forecast,
  pictures,
}: Parts): Report => {
  const within = <T>(on: (item: T) => Day, items: readonly T[]): readonly T[] =>
    items.filter((item) => on(item) >= from && on(item) <= day)
  const { tracks, worries } = snapshotOf({
    program,
    views,
    incidents: [],
    day,
    workDays: 0,
    calendarDays: 0,
  })
  // What is confirmed on the morning itself is not what an owner waits for.
  const asOnTheDay = { ...facts, confirmed: CONFIRMATIONS }
  const nearest = nearestGate(program, views, { facts: asOnTheDay, counted: new Map(), on: day })
  const holding = ({ state }: FrozenTrack): boolean => state === 'solid' || state === 'rusty'
  return {
    day,
    from,
    school: program.name,
    done: daysDone(
      program,
      within((row) => row.day, worked),
    ),
    holds: withSidesTogether(tracks.filter(holding).map(told)),
    underWay: withSidesTogether(tracks.filter((track) => !holding(track)).map(told)),
    next: nearest && {
      name: nearest.name,
      verdict: nearest.verdict,
      sentence: nearest.sentence,
      waitsFor: nearest.heldBy.map(({ name, side }) => `${name}${sideAfter(side)}`),
    },
    forecast,
    incidents: [...within(({ on }) => on, incidents)]
      .sort((a, b) => b.on.localeCompare(a.on))
      .map((incident) => incidentWords(program, incident)),
    tight: worries,
    against: within((one) => one.day, against),
    pictures: [...within((picture) => picture.day, pictures)].sort((a, b) => b.day.localeCompare(a.day)),
  }
}

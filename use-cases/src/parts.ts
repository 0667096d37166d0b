import type {
  ArrangedPart,
  Arrangement,
  Arrival,
  Attachment,
  Block,
  BusyTime,
  CarriedAnswer,
  Check,
  Device,
  Entry,
  EvidenceAnswer,
  EvidenceSession,
  FitVersion,
  Horse,
  Incident,
  SavedAnswer,
  ListedPerson,
  Me,
  Measurement,
  Overrule,
  OwnersReport,
  Place,
  PlannedWeek,
  ReplyOf,
  School,
  Session,
  StepAnswer,
  PlannedDay,
  PredictionsAbout,
  VisitTold,
  Worked,
} from '@still-pine/contract'
import type { Day, Side } from '@still-pine/core/answer'
import type { Belief } from '@still-pine/core/judgement'
import type { BlockNow } from '@still-pine/core/blocks'
import type { Spot } from '@still-pine/core/coverage'
import type { CircumstanceGroup, DayTold, TenthTally } from '@still-pine/core/evidence'
import type { Confirmation, KnownRung } from '@still-pine/core/facts'
import type { Program } from '@still-pine/core/program'
import type { Facts, Tally, TrackedAnswer, Views } from '@still-pine/core/readiness'
import type { Option } from '@still-pine/core/week'
import type { Judged } from './line'

/** A version of a school, with the words it is listed by. */
export type ListedProgram = Omit<School['versions'][number], 'horses'> &
  Pick<School, 'school' | 'name' | 'copyOf'>

export interface NamedProgram {
  readonly id: string
  readonly document: Program
}

/** What Today tells of a horse. */
export interface ToldToday {
  readonly plan: PlannedDay | null
  /** What somebody has arranged of it. */
  readonly arrangedMinutes: number | null
}

export interface DayCount {
  readonly horseId: string
  readonly day: Day
  readonly answers: number
}

/** How a horse stands on a day: what a page over the whole yard is made from. */
export interface Standing {
  readonly horse: Horse
  readonly name: string
  readonly program: Program
  readonly views: Views
  readonly facts: Facts
}

export interface CountedTrack {
  readonly horseId: string
  readonly step: string
  readonly side: Side
  readonly tally: Tally
  /** The first day it was asked. */
  readonly firstDay: Day
}

/** Predictions against what came, summed up by school, step, handler and tenth. */
export interface TalliedPredictions extends TenthTally {
  readonly about: PredictionsAbout
  readonly school: string
  readonly step: string
  readonly personId: string
  readonly personName: string
}

/** How a session's day began and ended, and what says how to go on. */
export interface SessionDay {
  readonly before: Views
  readonly after: Views
  readonly facts: Facts
  /** Load days of the six before the next day, the session's own among them. */
  readonly loadDays: number
}

export interface AskAgainst {
  readonly day: Day
  readonly step: string
  readonly words: string
  readonly why: string | null
}

/** A page of a horse's history for a device that takes it along. */
export interface CarriedPage {
  readonly answers: readonly CarriedAnswer[]
  readonly more: boolean
  /** Taken back since, with their place in the order of taking back. */
  readonly voided: readonly { readonly answerId: string; readonly seq: number }[]
}

/** All that can be read of a yard, part by part. What belongs to a horse is that of the horse, and the day, asked for. */
export interface Parts {
  readonly me: Me
  readonly people: readonly ListedPerson[]
  readonly places: readonly Place[]
  readonly devices: readonly Omit<Device, 'isThis'>[]
  readonly programs: readonly ListedProgram[]
  readonly namedProgram: NamedProgram
  /** Of the program that is named, where it is there. */
  readonly knownProgram: Program | null
  readonly ownReports: readonly OwnersReport[]

  /** What is arranged for every week: rules, hours, places, what horses want. */
  readonly arrangedParts: readonly ArrangedPart[]
  /** The week that begins on the day that is named, where one is planned. */
  readonly plannedWeek: PlannedWeek | null
  readonly busyTimes: readonly { readonly personId: string; readonly times: readonly BusyTime[] }[]
  readonly feeds: readonly { readonly personId: string; readonly since: string }[]
  /** Between the days that are named. */
  readonly visitsBetween: readonly VisitTold[]
  /** First days of the weeks that are planned. */
  readonly plannedWeeks: readonly Day[]
  /** Days between those named on which a horse was worked. */
  readonly workedBetween: readonly { readonly horseId: string; readonly day: Day }[]

  readonly horses: readonly Horse[]
  /** Of the string, as far as it is worked out. */
  readonly toldToday: ReadonlyMap<string, ToldToday>
  /** Today's alone. */
  readonly answersToday: readonly DayCount[]
  /** Who worked each horse last. */
  readonly lastHandled: readonly { readonly horseId: string; readonly personId: string }[]
  /** Over the last seven days. */
  readonly answersPerDay: readonly DayCount[]
  readonly standings: readonly Standing[]
  readonly countedTracks: readonly CountedTrack[]
  readonly tallied: readonly TalliedPredictions[]
  readonly talliedSchools: ReadonlyMap<string, Program>
  readonly talliedCircumstances: readonly CircumstanceGroup[]
  /** Every set of values the yard's log was asked for, newest first. */
  readonly fits: readonly FitVersion[]
  /** Those that were shown, of the horse that is named or of all, the newest first. */
  readonly keptForecasts: ReplyOf<'judging'>['forecasts']
  /** Horses that do not stand yet as the yard judges now. */
  readonly toRemake: number

  readonly horse: Horse
  readonly knownHorse: Horse | null
  readonly program: Program
  readonly checks: readonly Check[]
  readonly incidents: readonly Incident[]
  readonly attachments: readonly Attachment[]
  readonly measurements: readonly Measurement[]
  readonly entries: readonly Entry[]
  readonly confirmed: readonly Confirmation[]
  readonly overrules: readonly Overrule[]
  /** How its session is arranged for the day. */
  readonly arranged: Arrangement | null
  /** What its last arrival check showed. */
  readonly known: readonly KnownRung[]
  /** The block it is in, where one is open. */
  readonly block: BlockNow | null
  /** Days it was ridden off the lead since the last incident that closed it. */
  readonly rides: number
  /** What was worked on the six days before. */
  readonly week: readonly Worked[]
  readonly loadDays: number
  readonly workDays: number
  /** Of its handling block; none of another. */
  readonly sessionsInBlock: number
  readonly views: Views
  readonly facts: Facts
  readonly judged: Judged
  /** What it may be worked at in the week from the day that is judged. */
  readonly weekOptions: readonly Option[]
  readonly arrivals: readonly Arrival[]
  readonly blocks: readonly Block[]
  readonly report: ReplyOf<'report'>
  readonly owner: ReplyOf<'owner'>['owner']
  readonly spots: readonly Spot[]
  readonly worked: readonly Worked[]
  readonly carriedPage: CarriedPage

  readonly history: readonly EvidenceAnswer[]
  readonly historySessions: readonly EvidenceSession[]
  /** Those of its own steps on the day, as they are judged. */
  readonly answersOfDay: readonly TrackedAnswer[]
  /** What was asked between two days though it was not to be, once a step and day. */
  readonly asksAgainst: readonly AskAgainst[]
  /** Its answers to the steps of the named program, as they are judged. */
  readonly answersToNamed: readonly TrackedAnswer[]

  /** Of a step: its newest answers, and what it was asked for over its whole history. */
  readonly stepAnswers: readonly SavedAnswer[]
  readonly stepDrawn: readonly StepAnswer[]
  readonly stepSessions: readonly Pick<EvidenceSession, 'id' | 'circumstances'>[]
  readonly stepDays: readonly (DayTold & { readonly side: Side })[]
  readonly stepBeliefs: ReadonlyMap<Side, Belief>
  readonly stepCircumstances: readonly CircumstanceGroup[]

  readonly sessions: readonly Session[]
  readonly session: Session
  readonly sessionAnswers: readonly SavedAnswer[]
  readonly sessionDay: SessionDay
}

export type PartName = keyof Parts

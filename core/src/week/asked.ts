import type { Day } from '../answer'

/** From a time of a day to another, `HH:MM` in the yard's zone. */
export interface Window {
  readonly day: Day
  readonly from: string
  readonly to: string
}

export interface WeekPart {
  readonly id: string
  readonly from: string
  readonly to: string
}

export interface Person {
  readonly id: string
  readonly name: string
  readonly roles: readonly string[]
  readonly windows: readonly Window[]
  readonly busy: readonly Window[]
  readonly mostMinutesPerDay: number | null
}

export interface Place {
  readonly id: string
  readonly name: string
  readonly suits: readonly string[]
  /** `null`: free all day. */
  readonly windows: readonly Window[] | null
  readonly travelMinutes: number
}

/** One way of working a horse on a day. */
export interface Option {
  readonly use: string
  readonly minutes: number
  readonly load: boolean
  readonly hard: boolean
  readonly roles: readonly string[]
  /** The share of an ordinary work day that it takes off the way to the nearest gate. */
  readonly savedDays: number
  /** Only on these days, where it says so. */
  readonly days?: readonly Day[]
}

export interface WeekHorse {
  readonly id: string
  readonly name: string
  readonly born: Day | null
  readonly block: string
  readonly wantedVisits: number
  readonly visitsAtMost: number | null
  /** 1 to 2: how pressing its date is. */
  readonly urgency: number
  readonly lastTouchedDay: Day | null
  /** Of the seven days before. */
  readonly loadDays: readonly Day[]
  readonly hardDays: readonly Day[]
  readonly holds: readonly { readonly from: Day; readonly until: Day | null }[]
  readonly notFree: readonly Window[]
  readonly options: readonly Option[]
}

export type DueKind = 'vet' | 'farrier' | 'saddle' | 'worming' | 'other'

export interface Due {
  readonly id: string
  readonly horse: string
  readonly kind: DueKind
  readonly minutes: number
  readonly earliestDay: Day
  readonly dueDay: Day
  readonly roles: readonly string[]
  /** None: anywhere. */
  readonly places: readonly string[]
}

/** Any of these; a visit fits if each list that is named has its value. */
export type Match = Readonly<
  Partial<
    Record<
      'horses' | 'uses' | 'days' | 'parts' | 'leads' | 'helpers' | 'people' | 'places' | 'conditions',
      readonly string[]
    >
  >
>

interface WishOf<Kind extends string> {
  readonly id: string
  readonly kind: Kind
  readonly weight: 'must' | number
  readonly match: Match
}

export type Wish =
  | WishOf<'pin'>
  | WishOf<'avoid'>
  | (WishOf<'only'> & { readonly then: Match })
  | (WishOf<'count'> & { readonly least?: number | null; readonly most?: number | null })

/** A visit that a person put there by hand. */
export interface Pin {
  readonly id: string
  readonly horse: string
  readonly day: Day
  readonly due?: string | null
  readonly part?: string | null
  readonly start?: string | null
  readonly use?: string | null
  readonly lead?: string | null
  readonly helper?: string | null
  readonly place?: string | null
}

export interface Previous {
  readonly horse: string
  readonly day: Day
  readonly start: string
  readonly due: string | null
  readonly lead: string
  readonly place: string | null
}

export interface WeekRules {
  readonly noTwoLoadDaysBelowMonths: number | null
  readonly restAfterHardDay: 'none' | 'noLoad' | 'untouched'
  readonly mostDaysUntouched: number
}

/** All that a week is planned from. */
export interface WeekAsked {
  readonly firstDay: Day
  readonly days: number
  readonly slotMinutes: number
  readonly changeoverMinutes: number
  readonly parts: readonly WeekPart[]
  readonly conditions: Readonly<Record<Day, readonly string[]>>
  readonly rules: WeekRules
  readonly people: readonly Person[]
  readonly places: readonly Place[]
  readonly horses: readonly WeekHorse[]
  readonly dues: readonly Due[]
  readonly wishes: readonly Wish[]
  readonly pins: readonly Pin[]
  readonly previous: readonly Previous[]
  readonly limits: { readonly relativeGap: number; readonly nodes: number; readonly seconds: number }
}

/** A visit of a plan. */
export interface Visit {
  readonly horse: string
  readonly day: Day
  readonly start: string
  readonly slots: number
  readonly part: string
  /** Which of the horse's options; `null` for a due visit. */
  readonly option: number | null
  readonly due: string | null
  readonly use: string
  readonly lead: string
  readonly helper: string | null
  readonly place: string
}

import type {
  Arranged,
  ArrivalResult,
  BusyTime,
  Horse,
  ListedPerson,
  PutBlock,
  PutHorse,
  PutPerson,
  PutPlace,
  PutPlannedWeek,
  RouteName,
  Routes,
  Settings,
} from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import type { Snapshot } from '@still-pine/core/blocks'
import type { Program } from '@still-pine/core/program'
import type { z } from 'zod'
import type { PartName, Parts } from './parts'
import type { QueryName, Reply } from './query'
import type { Asking, Named } from './reading'

/** Routes by which a signed-in person changes something of their yard, one at a time. */
export type CommandName = Exclude<
  RouteName,
  | QueryName
  | 'about'
  | 'firstRun'
  | 'signIn'
  | 'signInDemo'
  | 'signOut'
  | 'toMadeUpYard'
  | 'toOwnYard'
  | 'ownPassword'
  | 'resetLink'
  | 'resetPassword'
  | 'reportLinks'
  | 'putReportLink'
  | 'readReport'
  | 'makeFeed'
  | 'endFeed'
  | 'batch'
>

type Body<N extends RouteName> = z.output<Routes[N]['body']>

/** What a command changes, to be written and read back. */
export type YardChange =
  | { readonly kind: 'settings'; readonly settings: Settings }
  | {
      readonly kind: 'cut-off'
      readonly personId: string
      readonly deviceId: string
      readonly at: Date | null
    }
  | { readonly kind: 'person'; readonly id: string; readonly isNew: boolean; readonly person: PersonToSave }
  | { readonly kind: 'standing'; readonly id: string; readonly standing: ListedPerson['standing'] }
  | { readonly kind: 'fit'; readonly version: number | null }
  | { readonly kind: 'place'; readonly id: string; readonly place: PutPlace }
  | { readonly kind: 'program'; readonly id: string; readonly document: Program; readonly ships: boolean }
  | { readonly kind: 'horse-added'; readonly id: string; readonly form: PutHorse; readonly programId: string }
  | { readonly kind: 'horse'; readonly id: string; readonly form: PutHorse }
  | { readonly kind: 'archived'; readonly id: string; readonly archived: Horse['archived'] }
  | { readonly kind: 'hand-over'; readonly id: string; readonly steps: readonly string[] }
  | { readonly kind: 'moved-over'; readonly id: string; readonly programId: string; readonly isEdit: boolean }
  | { readonly kind: 'owner'; readonly horseId: string; readonly personId: string | null }
  | ({ readonly kind: 'arrival'; readonly horseId: string; readonly id: string } & ArrivalToSave)
  | ({ readonly kind: 'block'; readonly horseId: string; readonly id: string } & BlockToSave)
  | {
      readonly kind: 'check'
      readonly horseId: string
      readonly id: string
      readonly check: Body<'putCheck'>
    }
  | { readonly kind: 'overrule'; readonly horseId: string; readonly overrule: OverruleToSave }
  | { readonly kind: 'overrule-taken-back'; readonly id: string }
  | {
      readonly kind: 'arranged'
      readonly id: string
      readonly arranged: Arranged
      readonly version: number
    }
  | { readonly kind: 'planned-week'; readonly firstDay: Day; readonly week: PutPlannedWeek }
  | {
      readonly kind: 'busy'
      readonly personId: string
      readonly hash: string
      readonly times: readonly BusyTime[]
    }

export interface PersonToSave extends Omit<PutPerson, 'password'> {
  /** No hash leaves the password as it is. */
  readonly passwordHash: string | null
}

interface ArrivalToSave {
  readonly on: Day
  readonly result: ArrivalResult
}

interface BlockToSave {
  readonly block: PutBlock
  readonly snapshot: Snapshot | null
  readonly isNew: boolean
}

interface OverruleToSave {
  readonly id: string
  readonly gate: string
  readonly day: Day
  readonly verdict: 'check-first' | 'not-yet'
  readonly reason: string
}

/** What somebody wants changed. */
export interface Ordered<N extends CommandName> extends Asking {
  readonly named: Named & z.output<Routes[N]['params']>
  readonly body: Body<N>
  /** Of the password that came with it, hashed before anything was read. */
  readonly passwordHash: string | null
  readonly newId: () => string
}

/** One thing that can be done to a yard: the parts that decide it, what it changes, and what is told then. */
export interface Command<N extends CommandName, P extends PartName, R extends PartName> {
  /** What is held from before it is decided until it is done, so that two who change the same take turns. */
  readonly holds: 'the horse' | 'the yard' | 'nothing'
  readonly parts: readonly P[]
  /** What else its parts are asked by, where that is said in the body. */
  readonly names?: (body: Body<N>) => Pick<Named, 'on' | 'from' | 'until' | 'to'>
  /** Refuses, or says what changes: nothing where it is so already. */
  readonly decide: (parts: Pick<Parts, P>, ordered: Ordered<N>) => readonly YardChange[]
  readonly replies: readonly R[]
  readonly reply: (parts: Pick<Parts, R>, ordered: Ordered<N>) => Reply<N>
}

/** A command of the route it is named for. */
export const command = <N extends CommandName, P extends PartName, R extends PartName>(
  _route: N,
  parts: Command<N, P, R>,
): Command<N, P, R> => parts

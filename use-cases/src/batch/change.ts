import type { BatchItem, NewAnswer, NewSession } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import type { Who } from '../reading'
import type { Clock } from '../times'

type Item<Kind extends BatchItem['do']> = Extract<BatchItem, { do: Kind }>

/** When and by whom a batch is taken in, and how far the clock it was written by is off. */
export interface Moment extends Clock {
  readonly who: Pick<Who, 'personId' | 'role'>
  readonly clockOffMs: number
}

/** A phone's clock this much off is corrected; less is the time the batch was on its way. */
const CLOCK_SLACK_MS = 60_000

/** How far the clock that says a batch is sent now is off: nothing where that is the time it was on its way. */
export const clockOff = (now: Date, sentAt: string): number => {
  const off = now.getTime() - Date.parse(sentAt)
  return Math.abs(off) > CLOCK_SLACK_MS ? off : 0
}

export const corrected = ({ clockOffMs }: Moment, at: string): Date => new Date(Date.parse(at) + clockOffMs)

/** A session as it is written: with its corrected time and its day. */
export interface SessionToSave extends Omit<NewSession, 'startedAt'> {
  readonly startedAt: Date
  readonly day: Day
  readonly personId: string
}

/** An answer as it is written: with its corrected time and its day. */
export interface AnswerToSave extends Omit<NewAnswer, 'at'> {
  readonly at: Date
  readonly phoneAt: Date
  readonly day: Day
  /** It lies ahead of the server's clock, and is kept all the same. */
  readonly ahead: boolean
  readonly personId: string
}

/** What one item of a batch changes. */
export type Change =
  | { readonly kind: 'session'; readonly id: string; readonly session: SessionToSave }
  | { readonly kind: 'answer'; readonly id: string; readonly answer: AnswerToSave }
  | ({ readonly kind: 'voiding'; readonly at: Date } & Omit<Item<'void'>, 'do' | 'at'>)
  | ({ readonly kind: 'incident' } & Omit<Item<'incident'>, 'do'>)
  | ({ readonly kind: 'note'; readonly at: Date } & Omit<Item<'note'>, 'do' | 'at'>)
  | ({ readonly kind: 'circumstances' } & Omit<Item<'circumstances'>, 'do' | 'at'>)
  | ({ readonly kind: 'arrangement'; readonly at: Date } & Omit<Item<'arrange'>, 'do' | 'at'>)
  | ({ readonly kind: 'attachment'; readonly at: Date; readonly day: Day } & Omit<Item<'attach'>, 'do'>)
  | ({ readonly kind: 'measurement' } & Omit<Item<'measure'>, 'do'>)
  | ({ readonly kind: 'entry' } & Omit<Item<'enter'>, 'do'>)
  | ({ readonly kind: 'confirmation' } & Omit<Item<'confirm'>, 'do'>)

/** The change an item asks for, whether or not it may be. */
export const changeOf = (item: BatchItem, moment: Moment): Change => {
  const { personId } = moment.who
  switch (item.do) {
    case 'session': {
      const startedAt = corrected(moment, item.session.startedAt)
      const session = { ...item.session, startedAt, day: moment.dayIn(startedAt), personId }
      return { kind: 'session', id: session.id, session }
    }
    case 'add': {
      const at = corrected(moment, item.answer.at)
      const ahead = at.getTime() - moment.now.getTime() > CLOCK_SLACK_MS
      const phoneAt = new Date(item.answer.at)
      const answer = { ...item.answer, at, phoneAt, day: moment.dayIn(at), ahead, personId }
      return { kind: 'answer', id: answer.id, answer }
    }
    case 'void': {
      const { do: _do, at, ...voiding } = item
      return { kind: 'voiding', ...voiding, at: corrected(moment, at) }
    }
    case 'incident': {
      const { do: _do, ...incident } = item
      return { kind: 'incident', ...incident }
    }
    case 'note': {
      const { do: _do, at, ...note } = item
      return { kind: 'note', ...note, at: corrected(moment, at) }
    }
    case 'circumstances': {
      const { do: _do, at: _at, ...circumstances } = item
      return { kind: 'circumstances', ...circumstances }
    }
    case 'arrange': {
      const { do: _do, at, ...arrangement } = item
      return { kind: 'arrangement', ...arrangement, at: corrected(moment, at) }
    }
    case 'attach': {
      const { do: _do, ...attach } = item
      const at = corrected(moment, item.attachment.at)
      return { kind: 'attachment', ...attach, at, day: moment.dayIn(at) }
    }
    case 'measure': {
      const { do: _do, ...measure } = item
      return { kind: 'measurement', ...measure }
    }
    case 'enter': {
      const { do: _do, ...entered } = item
      return { kind: 'entry', ...entered }
    }
    case 'confirm': {
      const { do: _do, ...confirmation } = item
      return { kind: 'confirmation', ...confirmation }
    }
  }
}

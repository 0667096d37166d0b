import { addresses } from '../addresses'
import { EvidenceAnswer, EvidenceSession, SavedAnswer } from '../answers'
import { Carry, Cursor } from '../carry'
import { Horse } from '../horses'
import { DueRow, Line, TodayRow, WeekRow } from '../judgement'
import { Day, Id, StepKey } from '../primitives'
import { FitVersion, Judging, PutFit, StepEvidence, YardReading } from '../reading'
import { SpotsReply } from '../spots'
import { WorkedReply } from '../worked'
import { z } from 'zod'
import { horse, route } from './making'

/** What is judged of horses, and what it is judged from. */
export const judgementRoutes = {
  today: route({
    ...addresses.today,
    summary: 'Today’s running order with each horse’s plan',
    needs: 'read-yard',
    reply: z.object({
      day: Day,
      rows: z.array(TodayRow),
      /** Horses that have left; they come back with one press. */
      gone: z.array(Horse).default([]),
    }),
  }),
  week: route({
    ...addresses.week,
    summary: 'Who worked in the last seven days, and what goes stale',
    needs: 'read-yard',
    reply: z.object({ days: z.array(Day), rows: z.array(WeekRow) }),
  }),
  due: route({
    ...addresses.due,
    summary: 'What is due or shut of every horse, its next gate, and who worked it last',
    needs: 'read-yard',
    reply: z.object({ day: Day, horses: z.array(DueRow) }),
  }),
  line: route({
    ...addresses.line,
    summary: 'A horse’s tracks, gates and plan on a day',
    needs: 'read-yard',
    params: horse,
    query: z.object({ on: Day.optional() }),
    reply: Line,
  }),
  carry: route({
    ...addresses.carry,
    summary: 'What a device takes along to judge a horse without signal, from where it left off',
    needs: 'read-yard',
    params: horse,
    query: Cursor,
    reply: Carry,
  }),
  spots: route({
    ...addresses.spots,
    summary: 'Answers that tell where on the horse, or from where, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: SpotsReply,
  }),
  worked: route({
    ...addresses.worked,
    summary: 'A horse’s answers counted by track and session: what its counters and places are made from',
    needs: 'read-yard',
    params: horse,
    reply: WorkedReply,
  }),
  stepAnswers: route({
    ...addresses.stepAnswers,
    summary: 'The newest answers of one step, voided ones too',
    needs: 'read-yard',
    params: z.object({ horseId: Id, step: StepKey }),
    query: z.object({ before: Id.optional() }),
    reply: z.object({ answers: z.array(SavedAnswer) }),
  }),
  stepEvidence: route({
    ...addresses.stepEvidence,
    summary: 'One step over its whole history: its answers, its chance over the days, its circumstances',
    needs: 'read-yard',
    params: z.object({ horseId: Id, step: StepKey }),
    reply: StepEvidence,
  }),
  evidence: route({
    ...addresses.evidence,
    summary: 'Every answer that stands, and how each session was, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ day: Day, answers: z.array(EvidenceAnswer), sessions: z.array(EvidenceSession) }),
  }),
  reading: route({
    ...addresses.reading,
    summary: 'Every horse’s nearest gate with what holds it, and what several horses are weak on',
    needs: 'read-yard',
    reply: YardReading,
  }),
  judging: route({
    ...addresses.judging,
    summary: 'What was predicted before first asks against what came, over the yard or one horse',
    needs: 'read-yard',
    query: z.object({ horseId: Id.optional() }),
    reply: Judging,
  }),
  putFit: route({
    ...addresses.putFit,
    summary: 'Judge by another version of the yard’s own values, or by the defaults',
    needs: 'edit-school',
    body: PutFit,
    reply: z.object({ fits: z.array(FitVersion) }),
  }),
} as const

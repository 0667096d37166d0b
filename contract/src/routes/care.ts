import { addresses } from '../addresses'
import { Attachment } from '../attachments'
import { Check, Incident, PutCheck, PutOverrule } from '../care'
import { Entry } from '../entries'
import { Overrule } from '../judgement'
import { Measurement } from '../measurements'
import { Id } from '../primitives'
import { z } from 'zod'
import { horse, route } from './making'

/** Checks, incidents and what is confirmed. */
export const careRoutes = {
  checks: route({
    ...addresses.checks,
    summary: 'Checks of a horse',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ checks: z.array(Check) }),
  }),
  putCheck: route({
    ...addresses.putCheck,
    summary: 'Record a check or a veterinary hold',
    needs: 'record-check',
    params: horse.extend({ checkId: Id }),
    body: PutCheck,
    reply: Check,
  }),
  incidents: route({
    ...addresses.incidents,
    summary: 'Incidents of a horse',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ incidents: z.array(Incident) }),
  }),
  attachments: route({
    ...addresses.attachments,
    summary: 'Pictures, clips and spoken notes of a horse',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ attachments: z.array(Attachment) }),
  }),
  measurements: route({
    ...addresses.measurements,
    summary: 'What was measured of a horse: tape, heights, condition, scale',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ measurements: z.array(Measurement) }),
  }),
  entries: route({
    ...addresses.entries,
    summary: 'What is told of a horse beside its answers: work on the line, cues, things, repairs, care',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ entries: z.array(Entry) }),
  }),
  putOverrule: route({
    ...addresses.putOverrule,
    summary: 'Overrule Not yet or Check first with a reason; never a Stop',
    needs: 'overrule-gate',
    params: horse.extend({ overruleId: Id }),
    body: PutOverrule,
    reply: Overrule,
  }),
} as const

import type { PartName } from '../parts'
import type { Query, QueryName } from '../query'
import { attachments, checks, entries, incidents, measurements } from './care'
import { evidence, stepAnswers, stepEvidence } from './evidence'
import { arrivals, blocks, carry, horse, line, owner, passport, report, spots, worked } from './horse'
import { judging, reading } from './reading'
import { moveOver, program, schools } from './schools'
import { session, sessionChanges, sessions } from './sessions'
import { due, today, week } from './today'
import { horseInWeek, plannedWeek, visits } from './weeks'
import { devices, me, people, places, reports } from './yard'

/** Everything that can be asked of a yard, by route; one that has no query does not compile. */
export const queries: { readonly [N in QueryName]: Query<N, PartName> } = {
  me,
  devices,
  people,
  places,
  reports,
  program,
  schools,
  moveOver,
  horse,
  arrivals,
  blocks,
  owner,
  report,
  passport,
  today,
  week,
  due,
  plannedWeek,
  horseInWeek,
  visits,
  line,
  carry,
  spots,
  worked,
  stepAnswers,
  stepEvidence,
  evidence,
  reading,
  judging,
  sessions,
  session,
  sessionChanges,
  checks,
  incidents,
  attachments,
  measurements,
  entries,
}

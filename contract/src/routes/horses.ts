import { addresses } from '../addresses'
import { Arrival, Block, HorseOwner, OwnersReport, PutArrival, PutBlock, PutOwner } from '../blocks'
import { Horse, PutArchived, PutHandOver, PutHorse } from '../horses'
import { Passport } from '../passport'
import { Id } from '../primitives'
import { NamedReport, PutReportLink, ReadReport, Report, ReportLink } from '../reports'
import { z } from 'zod'
import { horse, route } from './making'

/** Horses and their lives. */
export const horsesRoutes = {
  horse: route({
    ...addresses.horse,
    summary: 'One horse',
    needs: 'read-yard',
    params: horse,
    reply: Horse,
  }),
  putHorse: route({
    ...addresses.putHorse,
    summary: 'Add a horse or change it',
    needs: 'edit-horse',
    params: horse,
    body: PutHorse,
    reply: Horse,
  }),
  putArchived: route({
    ...addresses.putArchived,
    summary: 'Say that a horse has left, with the reason, or bring it back',
    needs: 'edit-horse',
    params: horse,
    body: PutArchived,
    reply: Horse,
  }),
  putHandOver: route({
    ...addresses.putHandOver,
    summary: 'Tick the steps a horse is to leave with',
    needs: 'edit-horse',
    params: horse,
    body: PutHandOver,
    reply: Horse,
  }),
  arrivals: route({
    ...addresses.arrivals,
    summary: 'The arrival checks of a horse, newest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ arrivals: z.array(Arrival) }),
  }),
  putArrival: route({
    ...addresses.putArrival,
    summary: 'Keep what the answers of a day show as an arrival check: what it shows opens the next steps',
    needs: 'edit-horse',
    params: horse.extend({ arrivalId: Id }),
    body: PutArrival,
    reply: Arrival,
  }),
  blocks: route({
    ...addresses.blocks,
    summary: 'The blocks of a horse’s life, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ blocks: z.array(Block) }),
  }),
  putBlock: route({
    ...addresses.putBlock,
    summary: 'Open a block, close it (which freezes how the horse stands), or open it again',
    needs: 'edit-horse',
    params: horse.extend({ blockId: Id }),
    body: PutBlock,
    reply: Block,
  }),
  owner: route({
    ...addresses.owner,
    summary: 'Whose horse it is',
    needs: 'read-yard',
    params: horse,
    reply: HorseOwner,
  }),
  putOwner: route({
    ...addresses.putOwner,
    summary: 'Say whose horse it is, or that it is nobody’s here',
    needs: 'edit-horse',
    params: horse,
    body: PutOwner,
    reply: HorseOwner,
  }),
  reports: route({
    ...addresses.reports,
    summary: 'What an owner is told of their own horses',
    needs: 'read-own-reports',
    reply: z.object({ horses: z.array(OwnersReport) }),
  }),
  report: route({
    ...addresses.report,
    summary: 'What an owner is told of a horse today: what was done of late, what holds, what is next',
    needs: 'read-yard',
    params: horse,
    reply: Report,
  }),
  passport: route({
    ...addresses.passport,
    summary: 'What goes with a horse to its next hands, signed by who asks for it',
    needs: 'read-yard',
    params: horse,
    reply: Passport,
  }),
  reportLinks: route({
    ...addresses.reportLinks,
    summary: 'The links by which the report of a horse is read without a sign-in',
    needs: 'edit-horse',
    params: horse,
    reply: z.object({ links: z.array(ReportLink) }),
  }),
  putReportLink: route({
    ...addresses.putReportLink,
    summary: 'Make a link to the report of a horse that ends on a day, or revoke one',
    needs: 'edit-horse',
    params: horse.extend({ linkId: Id }),
    body: PutReportLink,
    reply: ReportLink,
  }),
  readReport: route({
    ...addresses.readReport,
    summary: 'Read the report of a horse by a link and its code',
    needs: 'open',
    body: ReadReport,
    reply: NamedReport,
  }),
} as const

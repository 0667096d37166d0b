import {
  files,
  Passport,
  routes,
  type NamedReport,
  type ReadReport,
  type Report,
  type ReportLink,
} from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { answer, type Asked, notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { urlencoded, type RequestHandler, type Response, type Router } from 'express'
import { linkCode, linkToken, readLink } from '../auth/signed-links'
import { horseById } from '../data/horses'
import { horsesOfOwner } from '../data/owners'
import { yardNow } from '../data/people'
import {
  codeWasWrong,
  findReportLink,
  reportLinkById,
  reportLinksOf,
  reportRead,
  saveReportLink,
  type ReportLinkRow,
} from '../data/report-links'
import { askingOf, loadersOf, readOf } from '../parts'
import { inYardOf, nobodyIn } from '../records/in-yard'
import { passportPdf } from '../paper/passport-pdf'
import { reportPdf } from '../paper/report-pdf'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseAsked } from './horse-asked'
import { fewTries } from './few-tries'
import { askerOf, inYardSeen, serve, serveOpen } from './serve'

/** A code is guessed at so often and no more: then the link is revoked. */
const MOST_WRONG_CODES = 10

const toldOf = (secret: string, row: ReportLinkRow): ReportLink => {
  const revoked = row.revokedAt !== null
  return {
    id: row.id,
    byName: row.byName,
    madeAt: row.madeAt.toISOString(),
    until: row.until,
    revoked,
    readAt: row.readAt?.toISOString() ?? null,
    token: revoked ? null : linkToken(secret, 'report', row.id),
    code: revoked ? null : linkCode(secret, 'report', row.id),
  }
}

/** So many pictures go with a report; a page of thousands is read by nobody. */
const MOST_PICTURES = 8

const picturesOf = async (
  deps: Dependencies,
  yard: Yard,
  report: Report,
): Promise<Record<string, string>> => {
  const pictures: Record<string, string> = {}
  for (const { id } of report.pictures.slice(0, MOST_PICTURES)) {
    const small = await deps.attachments.readThumbnail(yard.yardId, id)
    if (small) pictures[id] = small.toString('base64')
  }
  return pictures
}

const namedReport = async (deps: Dependencies, yard: Yard, horseId: string): Promise<NamedReport> => {
  const horse = await horseById(yard.client, horseId)
  if (!horse) throw notFound('This horse')
  const report = await readOf(yard, { horseId })('report')
  const { name } = (await yardNow(yard.client))!
  return { yardName: name, horseName: horse.name, report, pictures: await picturesOf(deps, yard, report) }
}

const OVER = 'This link has ended, was revoked, or is not ours. Ask the yard for another.'

/** Reads the report behind a link, for whoever has both the link and its code. */
const shared = async (deps: Dependencies, { token, code }: ReadReport): Promise<NamedReport> => {
  const over = new Refusal('not-found', OVER)
  const id = readLink(deps.cookieSecret, 'report', token)
  const found = id === null ? null : await findReportLink(deps.pool, id)
  if (id === null || !found) throw over
  const asker = await nobodyIn(deps, found.yardId)
  const link = await inYardOf(deps, { asker, view: 'as it goes' }, async (yard) => {
    const row = await reportLinkById(yard.client, id)
    if (!row || row.revokedAt !== null || row.until < todayIn(yard)) throw over
    const fits = code === linkCode(deps.cookieSecret, 'report', id)
    // Counted here and told after, for what is refused within is not kept.
    if (fits) await reportRead(yard.client, id, yard.now)
    else await codeWasWrong(yard.client, id, { at: yard.now, most: MOST_WRONG_CODES })
    return { horseId: row.horseId, fits }
  })
  if (!link.fits) throw refusedFor('code', 'This is not its code. It is told apart from the link.')
  return inYardOf(deps, { asker, view: 'one moment' }, (yard) => namedReport(deps, yard, link.horseId))
}

const sendPdf = async (response: Response, report: NamedReport): Promise<void> => {
  const pdf = await reportPdf(report)
  response.type(files.reportPdf.type)
  response.setHeader('Content-Disposition', 'inline; filename="report.pdf"')
  response.send(pdf)
}

/** The report of a horse as a PDF: for the yard, and for an owner of their own horses. */
const pdfOf =
  (deps: Dependencies): RequestHandler =>
  async (request, response) => {
    const asker = await askerOf(deps, request, files.reportPdf.needs)
    const horseId = horseAsked(request)
    if (horseId === null) throw new Refusal('bad-input', 'horseId: which horse is not said.')
    const report = await inYardSeen(deps, { asker, view: 'one moment' }, async (yard) => {
      const own = mayDo(asker.role, 'read-yard') ? null : await horsesOfOwner(yard.client, asker.personId)
      if (own && !own.some(({ id }) => id === horseId)) throw notFound('This horse')
      return namedReport(deps, yard, horseId)
    })
    await sendPdf(response, report)
  }

/** What goes with a horse to its next hands, as a PDF. */
const passportOf =
  (deps: Dependencies): RequestHandler =>
  async (request, response) => {
    const asker = await askerOf(deps, request, files.passportPdf.needs)
    const horseId = horseAsked(request)
    if (horseId === null) throw new Refusal('bad-input', 'horseId: which horse is not said.')
    const passport = await inYardSeen(deps, { asker, view: 'one moment' }, (yard) =>
      answer('passport', loadersOf(yard), askingOf(yard, { horseId }) as Asked<'passport'>),
    )
    response.type(files.passportPdf.type)
    response.setHeader('Content-Disposition', 'inline; filename="passport.pdf"')
    response.send(await passportPdf(Passport.parse(passport)))
  }

/** Reports for who signs in nowhere: links that end on a day, with a code that is told apart. */
export const reportLinkRoutes = (router: Router, deps: Dependencies): void => {
  const secret = deps.cookieSecret
  serve(router, deps, {
    route: routes.reportLinks,
    work: async ({ client }, { params: { horseId } }) => {
      if (!(await horseById(client, horseId))) throw notFound('This horse')
      return { links: (await reportLinksOf(client, horseId)).map((row) => toldOf(secret, row)) }
    },
  })

  serve(router, deps, {
    route: routes.putReportLink,
    work: async (yard, { params: { horseId, linkId }, body: { until, revoked } }) => {
      if (!(await horseById(yard.client, horseId))) throw notFound('This horse')
      const known = await reportLinkById(yard.client, linkId)
      if (known && known.horseId !== horseId) throw notFound('This link')
      if (!known && until < todayIn(yard)) throw refusedFor('until', 'This day is over.')
      await saveReportLink(yard.client, yard, { id: linkId, horseId, until, revoked })
      return toldOf(secret, (await reportLinkById(yard.client, linkId))!)
    },
  })

  const limit = fewTries(deps)
  router.use(routes.readReport.path, limit)
  serveOpen(router, deps, { route: routes.readReport, work: ({ body }) => shared(deps, body) })
  // A form, so that a browser opens what comes as any other page.
  router.post(`${routes.readReport.path}/pdf`, urlencoded({ extended: false }), async (request, response) => {
    const asked = routes.readReport.body.safeParse(request.body)
    if (!asked.success) throw new Refusal('bad-input', OVER)
    await sendPdf(response, await shared(deps, asked.data))
  })
  router.get(files.reportPdf.path, pdfOf(deps))
  router.get(files.passportPdf.path, passportOf(deps))
}

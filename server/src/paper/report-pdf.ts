import type { NamedReport, Report } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { asBytes, newSheet, paragraph, type Sheet } from './letters'
import { dayWords, part, withDays, type Part } from './parts'

const VERDICT_WORDS = { go: 'Go', 'check-first': 'Check first', 'not-yet': 'Not yet', stop: 'Stop' } as const

type Skill = Report['holds'][number]

const skillWords = ({ name, side, state, holds, lastDay }: Skill): string =>
  [
    `${name}${side === 'none' ? '' : `, ${side}`}: ${state === 'rusty' ? 'worn by time' : state}`,
    holds ? `to “${holds}”` : '',
    lastDay ? `last asked ${dayWords(lastDay)}` : '',
  ]
    .filter(Boolean)
    .join(', ')

const done = (sheet: Sheet, report: Report): void => {
  sheet.y += 8
  paragraph(sheet, 'What was done, the last day first', { size: 14, weight: 700, gap: 2 })
  if (report.done.length === 0) paragraph(sheet, 'Nothing was asked in these days.', { grey: true })
  for (const { day, place, steps } of report.done) {
    paragraph(sheet, `${dayWords(day)}${place ? `, ${place}` : ''}`, { weight: 700, gap: 1 })
    paragraph(
      sheet,
      steps
        .map(({ name, asked, light }) => `${name} ${count(asked, 'time')}, ${light} light`)
        .join('; then ')
        .concat('.'),
      { indent: 8, gap: 3 },
    )
  }
}

const nextLines = ({ next, forecast }: Report): readonly string[] =>
  next === null
    ? []
    : [
        `The gate “${next.name}”: ${VERDICT_WORDS[next.verdict]}. ${withDays(next.sentence)}`,
        ...(next.waitsFor.length > 0
          ? [`Not sooner, for it still waits for: ${next.waitsFor.join('; ')}.`]
          : []),
        ...(forecast === null ? [] : [withDays(forecast)]),
      ]

const PICTURE_POINTS = { width: 230, height: 172 } as const
const BETWEEN_POINTS = 22

/** Two pictures a row, each with its day and what is seen. */
const pictures = (sheet: Sheet, { report, pictures: jpegs }: NamedReport): void => {
  const shown = report.pictures.filter(({ id }) => jpegs[id] !== undefined)
  if (shown.length === 0) return
  sheet.y += 8
  paragraph(sheet, 'Pictures', { size: 14, weight: 700, gap: 2 })
  const { width, height } = PICTURE_POINTS
  for (let i = 0; i < shown.length; i += 2) {
    const row = shown.slice(i, i + 2)
    if (sheet.y + height + 3 * BETWEEN_POINTS > sheet.page.height - sheet.page.margins.bottom) sheet.addPage()
    const top = sheet.y
    row.forEach(({ id }, n) => {
      const left = sheet.page.margins.left + n * (width + BETWEEN_POINTS)
      sheet.image(Buffer.from(jpegs[id]!, 'base64'), left, top, { fit: [width, height] })
    })
    sheet.y = top + height + 4
    for (const { day, words } of row)
      paragraph(sheet, `${dayWords(day)}${words ? `: ${words}` : ''}`, { gap: 1 })
  }
}

/** The report of a horse on paper: the same as on the page, in the same words. */
export const reportPdf = (named: NamedReport): Promise<Buffer> => {
  const { yardName, horseName, report } = named
  const sheet = newSheet(`${horseName}, ${dayWords(report.day)}`)
  paragraph(sheet, horseName, { size: 24, weight: 700, gap: 0 })
  paragraph(
    sheet,
    `${yardName}. ${dayWords(report.from)} to ${dayWords(report.day)}. Worked by ${report.school}.`,
    { grey: true, gap: 4 },
  )
  const parts: readonly Part[] = [
    {
      title: 'What is next, and why not sooner',
      lines: nextLines(report),
      none: 'All gates are behind it.',
    },
    { title: 'What holds', lines: report.holds.map(skillWords), none: 'Nothing holds yet.' },
    { title: 'Under way', lines: report.underWay.map(skillWords), none: 'Nothing else was begun.' },
    {
      title: 'What happened',
      lines: report.incidents.map(withDays),
      none: 'No incident is recorded of these days.',
    },
    { title: 'Where tight was noted', lines: report.tight },
    {
      title: 'Asked though it was not to be',
      lines: report.against.map(
        ({ day, name, words, why }) =>
          `${dayWords(day)}, ${name}: ${words}${why ? ` Said of it: ${why}` : ''}`,
      ),
    },
  ]
  for (const one of parts) part(sheet, one)
  pictures(sheet, named)
  done(sheet, report)
  return asBytes(sheet)
}

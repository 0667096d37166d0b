import type { Passport } from '@still-pine/contract'
import { passportParts, verdictWords } from '@still-pine/use-cases'
import { asBytes, newSheet, paragraph } from './letters'
import { dayWords, part, withDays } from './parts'

/** What goes with a horse to its next hands, on paper: the same as on the page, in the same words. */
export const passportPdf = (passport: Passport): Promise<Buffer> => {
  const { horse, signed, school } = passport
  const sheet = newSheet(`${horse.name}, passport`)
  paragraph(sheet, horse.name, { size: 24, weight: 700, gap: 0 })
  paragraph(
    sheet,
    `${horse.sex}, ${horse.kind}${horse.marks ? `, ${horse.marks}` : ''}. Worked by ${school.name}.`,
    {
      grey: true,
      gap: 4,
    },
  )
  paragraph(sheet, verdictWords(passport), { size: 16, weight: 700, gap: 4 })
  for (const { title, lines, none } of passportParts(passport))
    part(sheet, { title, lines: lines.map(withDays), ...(none ? { none } : {}) })
  sheet.y += 16
  paragraph(sheet, `Signed: ${signed.by}, ${signed.yard}, ${dayWords(signed.on)}`, { weight: 700 })
  return asBytes(sheet)
}

import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { create, type Font } from 'fontkit'
import PDFDocument from 'pdfkit'

const require = createRequire(import.meta.url)

/** Fonts that ship, in the order in which they are tried; each holds the letters of some scripts. */
const FAMILIES = [
  ['atkinson-hyperlegible-next', 'latin'],
  ['atkinson-hyperlegible-next', 'latin-ext'],
  ['noto-sans', 'greek'],
  ['noto-sans', 'greek-ext'],
  ['noto-sans', 'cyrillic'],
  ['noto-sans', 'cyrillic-ext'],
  ['noto-sans', 'vietnamese'],
  ['noto-sans', 'devanagari'],
] as const

export type Weight = 400 | 700

interface Letters {
  readonly name: string
  readonly file: Buffer
  readonly font: Font
}

const lettersOf = (weight: Weight): readonly Letters[] =>
  FAMILIES.map(([family, script]) => {
    const path = require.resolve(`@fontsource/${family}/files/${family}-${script}-${weight}-normal.woff`)
    const file = readFileSync(path)
    return { name: `${family} ${script} ${weight}`, file, font: create(file) as Font }
  })

const read = new Map<Weight, readonly Letters[]>()

const letters = (weight: Weight): readonly Letters[] => {
  const known = read.get(weight) ?? lettersOf(weight)
  read.set(weight, known)
  return known
}

/** What stands for a letter that no font here has. */
const MISSING = '\u25a1'

interface Run {
  readonly font: string
  readonly text: string
}

/** A text in runs of letters that one font has; a letter that none has is told by a box, and nothing is left out silently. */
export const runsOf = (text: string, weight: Weight): readonly Run[] => {
  const fonts = letters(weight)
  const runs: { font: string; text: string }[] = []
  for (const letter of text.normalize('NFC')) {
    const code = letter.codePointAt(0)!
    const found = fonts.find(({ font }) => font.hasGlyphForCodePoint(code))
    const last = runs.at(-1)
    const name = found?.name ?? fonts[0]!.name
    const shown = found ? letter : fonts[0]!.font.hasGlyphForCodePoint(0x25a1) ? MISSING : '?'
    if (last?.font === name) last.text += shown
    else runs.push({ font: name, text: shown })
  }
  return runs
}

export type Sheet = PDFKit.PDFDocument

/** A4 with margins for a binder, and every letter that ships. */
export const newSheet = (title: string): Sheet => {
  const sheet = new PDFDocument({ size: 'A4', margin: 56, bufferPages: true, info: { Title: title } })
  for (const weight of [400, 700] as const)
    for (const { name, file } of letters(weight)) sheet.registerFont(name, file)
  return sheet
}

interface Look {
  readonly size?: number
  readonly weight?: Weight
  /** Points from the left margin. */
  readonly indent?: number
  /** Points below it. */
  readonly gap?: number
  readonly grey?: boolean
}

const INK = '#0f1a15'
const GREY = '#4b5a52'

/** Writes a paragraph, in whatever scripts it is. */
export const paragraph = (sheet: Sheet, text: string, look: Look = {}): void => {
  const { size = 10.5, weight = 400, indent = 0, gap = 3, grey = false } = look
  const runs = runsOf(text, weight)
  const left = sheet.page.margins.left + indent
  const width = sheet.page.width - left - sheet.page.margins.right
  sheet.fontSize(size).fillColor(grey ? GREY : INK)
  sheet.x = left
  runs.forEach((run, i) => {
    sheet.font(run.font).text(run.text, { width, continued: i < runs.length - 1, lineGap: 1.5 })
  })
  sheet.x = sheet.page.margins.left
  sheet.y += gap
}

/** The sheet as bytes, its pages numbered. */
export const asBytes = (sheet: Sheet): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    sheet.on('data', (chunk: Buffer) => chunks.push(chunk))
    sheet.on('error', reject)
    sheet.on('end', () => resolve(Buffer.concat(chunks)))
    sheet.end()
  })

import { addDays, type Day } from '../answer'
import type { CareKind } from './due'

const TITLES: Readonly<Record<CareKind, string>> = {
  hooves: 'Hooves',
  'worm-count': 'Worm egg count',
  teeth: 'Teeth',
  saddle: 'Saddle check',
  stretches: 'Stretches',
  vaccination: 'Vaccination',
  hold: 'Hold ends',
}

interface CareEvent {
  readonly yardId: string
  readonly horseId: string
  readonly horse: string
  readonly kind: CareKind
  /** How often it was done: a date that is moved keeps its event, the next time has one of its own. */
  readonly cycle: number
  readonly sequence: number
  /** ISO 8601 in UTC. */
  readonly stampedAt: string
  readonly fromOn: Day
  readonly byOn: Day
}

const MOST_OCTETS = 75

/** Of one letter in UTF-8. */
const octetsOf = (letter: string): number => {
  const code = letter.codePointAt(0)!
  if (code < 0x80) return 1
  if (code < 0x800) return 2
  return code < 0x10000 ? 3 : 4
}

/** Folds a line at 75 octets, never within a letter (RFC 5545, 3.1). */
export const folded = (line: string): string => {
  const pieces: string[] = []
  let [piece, size] = ['', 0]
  for (const letter of line) {
    const more = octetsOf(letter)
    // A line that goes on begins with a space, which counts.
    if (size + more > MOST_OCTETS) {
      pieces.push(piece)
      ;[piece, size] = [' ', 1]
    }
    piece += letter
    size += more
  }
  return [...pieces, piece].join('\r\n')
}

/** TEXT as it is written (RFC 5545, 3.3.11). */
export const escapedText = (text: string): string =>
  text.replace(/[\\;,]/g, (letter) => `\\${letter}`).replace(/\r\n|\r|\n/g, '\\n')

const dateOf = (day: Day): string => day.replaceAll('-', '')

// An all-day event begins at midnight: sixteen hours before is eight in the morning of the day before.
const alarm = (title: string, trigger: string): readonly string[] => [
  'BEGIN:VALARM',
  'ACTION:DISPLAY',
  `DESCRIPTION:${title}`,
  trigger,
  'END:VALARM',
]

/** A due care as an event of a calendar (RFC 5545). */
export const careEvent = ({
  yardId,
  horseId,
  horse,
  kind,
  cycle,
  sequence,
  stampedAt,
  fromOn,
  byOn,
}: CareEvent) => {
  const uid = `${kind}-${cycle}-${horseId}@${yardId}`
  const title = escapedText(`${TITLES[kind]}: ${horse}`)
  const lines = [
    'BEGIN:VEVENT',
    `UID:${uid}`,
    `DTSTAMP:${stampedAt.replace(/[-:]/g, '')}`,
    `SEQUENCE:${sequence}`,
    `DTSTART;VALUE=DATE:${dateOf(fromOn)}`,
    `DTEND;VALUE=DATE:${dateOf(addDays(byOn, 1))}`,
    `SUMMARY:${title}`,
    'TRANSP:TRANSPARENT',
    ...alarm(title, 'TRIGGER:-PT16H'),
    ...(byOn > fromOn ? alarm(title, 'TRIGGER;RELATED=END:-PT40H') : []),
    'END:VEVENT',
  ]
  return { uid, vevent: lines.map((line) => `${folded(line)}\r\n`).join('') }
}

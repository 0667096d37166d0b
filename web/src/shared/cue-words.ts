import type { Entry } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { cueBook } from '@still-pine/core/cues'
import { upperFirst } from '@still-pine/core/readiness'

export type CueEntry = EntryOf<'cue'>

export const CHANNEL_WORDS = {
  voice: 'voice',
  rein: 'rein',
  leg: 'leg',
  seat: 'seat',
  rope: 'rope',
  stick: 'stick',
  body: 'body',
} as const

export const RHYTHM_WORDS = { once: 'once', steady: 'steady', pulse: 'in pulses' } as const
export const WHERE_WORDS = { ground: 'from the ground', ridden: 'ridden', both: 'ground and ridden' } as const

/** "stick on the ribs, in pulses, twice". */
export const signalWords = ({ channel, place, side, rhythm, count }: CueEntry): string =>
  [
    channel === 'voice' ? `voice: “${place}”` : `${CHANNEL_WORDS[channel]}, ${place}`,
    side === 'both' ? '' : side,
    RHYTHM_WORDS[rhythm],
    count === 1 ? '' : `${count} times`,
  ]
    .filter(Boolean)
    .join(', ')

export const cueWords = (cue: CueEntry): string =>
  [
    signalWords(cue),
    WHERE_WORDS[cue.where],
    cue.groundOnly ? 'never wanted from the saddle' : '',
    cue.ofYard ? 'the whole yard’s' : '',
    cue.note,
  ]
    .filter(Boolean)
    .join('; ')

const listed = (words: readonly string[]): string => words.map((one) => `“${one}”`).join(', ')

/** What is wrong in a book of cues, the gravest first; each says what to do. */
export const findingsIn = (entries: readonly Entry[]): readonly string[] => {
  const cues = entriesOf(entries, 'cue')
  const book = cueBook(cues, entriesOf(entries, 'tool'))
  const cue = (id: string): CueEntry => cues.find((one) => one.id === id)!
  const pair = ([a, b]: readonly [string, string], end: string): string =>
    `${upperFirst(signalWords(cue(a)))} means “${cue(a).meaning}” and “${cue(b).meaning}”: ${end}`
  return [
    ...book.clashes.map((ids) => pair(ids, 'one signal, two meanings. Change one of them.')),
    ...book.near.map(
      ([a, b]) =>
        `${upperFirst(signalWords(cue(a)))} is “${cue(a).meaning}”, ${signalWords(cue(b))} is “${cue(b).meaning}”: the horse feels the same. Choose another place before First time up.`,
    ),
    ...(book.missingTwins.length > 0
      ? [`No ridden twin yet for ${listed(book.missingTwins)}: choose it before First time up.`]
      : []),
    ...book.twoMeanings.map(
      (tool) => `The ${tool} drives it and is to be borne: say what tells the one from the other.`,
    ),
    ...book.synonyms.map(
      ({ where, meaning, ids }) =>
        `“${meaning}” has ${ids.length} signals ${where === 'ground' ? 'from the ground' : 'from the saddle'}: keep to one.`,
    ),
  ]
}

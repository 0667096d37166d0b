import type { Program } from '@still-pine/core/program'
import { CHANNEL_WORDS, RHYTHM_WORDS, WHERE_WORDS } from '../../shared/cue-words'
import { SIDE_WORDS, type EntryField } from '../../shared/entry-form'

const inPairs = (words: Readonly<Record<string, string>>): readonly (readonly [string, string])[] =>
  Object.entries(words)

/** What is said of a cue: one signal and what it means. */
export const cueFields = (program: Program): readonly EntryField[] => [
  { name: 'meaning', label: 'It means', hint: 'over, go, whoa, back' },
  { name: 'channel', label: 'Given with', as: inPairs(CHANNEL_WORDS), start: 'rope' },
  {
    name: 'place',
    label: 'Where it feels it',
    hint: 'ribs, poll, girth, hip; of the voice, the word or the sound',
  },
  { name: 'side', label: 'Side', as: SIDE_WORDS },
  { name: 'rhythm', label: 'Rhythm', as: inPairs(RHYTHM_WORDS) },
  { name: 'count', label: 'How often', as: 'number', start: '1' },
  {
    name: 'gapSeconds',
    label: 'Seconds between',
    hint: 'further apart than 0.7 s they are single taps',
    as: 'number',
    start: '0',
  },
  { name: 'where', label: 'Asked', as: inPairs(WHERE_WORDS) },
  {
    name: 'step',
    label: 'With the step',
    as: [['', 'no one step'], ...program.steps.map(({ key, name }) => [key, name] as const)],
  },
  { name: 'groundOnly', label: 'It is never wanted from the saddle', as: 'tick' },
  { name: 'ofYard', label: 'It holds for every horse of the yard', as: 'tick' },
]

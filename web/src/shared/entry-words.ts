import type { PutEntry } from '@still-pine/contract'
import type { CareKind } from '@still-pine/core/care-calendar'

export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  hooves: 'Hooves',
  'worm-count': 'Worm egg count',
  teeth: 'Teeth',
  saddle: 'Saddle check',
  vaccination: 'Vaccination',
  hold: 'End of a hold',
  stretches: 'Stretches',
}

/** What an entry is, in words for a list of what waits. */
export const entryWords = (entry: PutEntry): string => {
  switch (entry.kind) {
    case 'line-work':
      return entry.way === 'lunge' ? 'work on the lunge' : 'work on long lines'
    case 'cue':
      return `a cue: ${entry.meaning}`
    case 'tool':
      return `a tool: ${entry.tool}`
    case 'thing':
      return `${entry.thing} shown: ${entry.good ? 'went well' : 'did not go well'}`
    case 'own-fault':
      return `a fault of our own: ${entry.fault}`
    case 'repair':
      return `a repair tried: ${entry.repair}`
    case 'care':
      return `${CARE_WORDS[entry.care].toLowerCase()} done`
    case 'goal':
      return `a goal: ${entry.goal}`
    case 'heat':
      return `${entry.airC} °C and ${entry.humidityPercent} % in the air`
    case 'tack':
      return 'what it wears'
    case 'bit-carry':
      return 'the bit carried'
    case 'strings':
      return `strings of ${entry.cm} cm`
    case 'law':
      return `what ${entry.source} asks`
    case 'run-sheet':
      return `a first time up: ${entry.rider}, ${entry.helper} on the ground`
    case 'jumps':
      return `${entry.efforts} over fences of ${entry.heightCm} cm`
    case 'ride':
      return 'a ride'
    case 'sensed':
      return 'what the strap and the gauge said'
    case 'forecast':
      return 'a forecast'
    case 'rider':
      return 'who rides it, and how heavy'
  }
}

import type { EntryOf } from '@still-pine/contract/entries-of'

/** "Brown trail saddle; felt pad; girth hole 4": what it wears, as it was told. */
export const wornWords = ({
  saddle,
  pad,
  girthHole,
  bridle,
  bit,
  lineM,
}: EntryOf<'tack'>): readonly string[] =>
  [
    saddle,
    pad && `pad: ${pad}`,
    girthHole === null ? '' : `girth, hole ${girthHole}`,
    bridle && `bridle: ${bridle}`,
    bit && `bit: ${bit}`,
    lineM === null ? '' : `line of ${lineM} m`,
  ].filter(Boolean)

/** Every runtime this runs in has it; core names no runtime of its own. */
declare const TextDecoder: new (
  label: string,
  options?: { fatal?: boolean },
) => { decode(bytes: Uint8Array): string }

export interface ReadText {
  readonly text: string
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252'
}

// Windows-1252 from 0x80 to 0x9F, five of them not used; some runtimes leave these as control characters.
const UPPER = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

const fromWindows = (bytes: Uint8Array): string =>
  new TextDecoder('windows-1252')
    .decode(bytes)
    .replace(/[\u0080-\u009f]/g, (control) => UPPER[control.charCodeAt(0) - 0x80]!)

const startsWith = (bytes: Uint8Array, ...mark: number[]): boolean =>
  mark.every((byte, i) => bytes[i] === byte)

/**
 * The text of a file. A byte-order mark decides; without one it is UTF-8 if it can be, and otherwise
 * Windows-1252, which is what older spreadsheets write.
 */
export const textFrom = (bytes: Uint8Array): ReadText => {
  if (startsWith(bytes, 0xff, 0xfe))
    return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' }
  if (startsWith(bytes, 0xfe, 0xff))
    return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' }
  } catch {
    return { text: fromWindows(bytes), encoding: 'Windows-1252' }
  }
}

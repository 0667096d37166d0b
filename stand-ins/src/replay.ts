/** One line of a recorded pull. */
export interface Recorded {
  readonly seconds: number
  readonly newtons: number
}

const LINE = /^\s*(\d+(?:\.\d+)?)\s*[,;\t]\s*(\d+(?:\.\d+)?)\s*$/

/** Reads `seconds,newtons` line by line; a first line of words is a header. Says which line cannot be read. */
export const readPull = (text: string): readonly Recorded[] => {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/)
  const recorded: Recorded[] = []
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue
    const [, seconds, newtons] = LINE.exec(line) ?? []
    if (seconds === undefined) {
      if (i === 0) continue
      throw new Error(`Line ${i + 1} is not “seconds,newtons”: ${line}`)
    }
    const last = recorded.at(-1)
    if (last && Number(seconds) < last.seconds) throw new Error(`Line ${i + 1} goes back in time.`)
    recorded.push({ seconds: Number(seconds), newtons: Number(newtons) })
  }
  if (recorded.length === 0) throw new Error('There is nothing in this file.')
  return recorded
}

/** The pull at a time of the recording, on straight lines; `null` when it is over. */
export const pullAt = (recorded: readonly Recorded[], seconds: number): number | null => {
  const start = recorded[0]!.seconds
  const at = start + seconds
  const next = recorded.findIndex((one) => one.seconds >= at)
  if (next === -1) return null
  const after = recorded[next]!
  const before = recorded[Math.max(0, next - 1)]!
  if (after.seconds === before.seconds) return after.newtons
  const share = (at - before.seconds) / (after.seconds - before.seconds)
  return before.newtons + share * (after.newtons - before.newtons)
}

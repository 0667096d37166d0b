import type { Waiting } from './store'

/** What waits on this device as a file of its own: JSON, an item a line of the batch it would be sent in. */
export const waitingFile = (entries: readonly Waiting[], personName: string, now: Date): Blob => {
  const document = {
    format: 'still-pine-waiting',
    version: 1,
    person: personName,
    takenOutAt: now.toISOString(),
    items: entries.map(({ item, keptAt, refused }) => ({
      item,
      keptAt: new Date(keptAt).toISOString(),
      ...(refused ? { refused: refused.reason } : {}),
    })),
  }
  return new Blob([`${JSON.stringify(document, null, 2)}\n`], { type: 'application/json' })
}

/** Hands a file to the person, as a download. */
export const handOver = (file: Blob, name: string): void => {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

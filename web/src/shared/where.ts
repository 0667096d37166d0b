/** Where this device works: the pen or track that its next session is kept with, until another is chosen. */
const KEY = 'where'

export const whereNow = (): string | null => {
  try {
    return localStorage.getItem(KEY)
  } catch {
    return null
  }
}

export const workAt = (place: string | null): void => {
  try {
    if (place === null) localStorage.removeItem(KEY)
    else localStorage.setItem(KEY, place)
  } catch {
    // A device that keeps nothing asks again the next time.
  }
}

import { device } from './store'

/** The device has no room for an answer, or keeps nothing at all. */
export class NotSaved extends Error {
  constructor(cause: unknown) {
    super('This device could not keep it.', { cause })
  }
}

const isFull = (error: unknown): boolean => {
  for (let e = error as { name?: string; inner?: unknown; cause?: unknown } | undefined; e;) {
    if (e.name === 'QuotaExceededError') return true
    e = (e.inner ?? e.cause) as typeof e
  }
  return false
}

/** Forgets what the server can give again; what waits to be sent stays. */
export const makeRoom = async (): Promise<void> => {
  await device.carried.clear()
  await device.replies.clear()
}

/** Writes something that must not be lost: where there is no room, copies of what the server has make way for it. */
export const withRoom = async <T>(write: () => PromiseLike<T>): Promise<T> => {
  try {
    return await write()
  } catch (error) {
    if (!isFull(error)) throw new NotSaved(error)
  }
  try {
    await makeRoom()
    return await write()
  } catch (error) {
    throw new NotSaved(error)
  }
}

/** Whether this device keeps anything: told before the first answer, not after. */
export const canSave = async (): Promise<boolean> => {
  const probe = { key: 'probe', value: Math.random() }
  try {
    await device.facts.put(probe)
    const found = await device.facts.get(probe.key)
    return found?.value === probe.value
  } catch {
    return false
  }
}

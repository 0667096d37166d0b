import { hash, verify } from '@node-rs/argon2'

// Argon2id with the library's defaults follows the memory-hard recommendation of RFC 9106's second choice.
export const hashPassword = (password: string): Promise<string> => hash(password)

/** A hash of nothing anybody has: an unknown address takes as long as a wrong password. */
const decoy = hash('no such person')

export const passwordFits = async (stored: string | null, password: string): Promise<boolean> => {
  const fits = await verify(stored ?? (await decoy), password)
  return fits && stored !== null
}

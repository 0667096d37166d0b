import type { School } from '@still-pine/contract'

/** A key for a new school, made from its name, that no other school of the yard has. */
export const freeKey = (name: string, schools: readonly Pick<School, 'school'>[]): string => {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 40)
  const wanted = plain.length >= 2 ? plain : 'own-school'
  const taken = new Set(schools.map(({ school }) => school))
  let key = wanted
  for (let n = 2; taken.has(key); n++) key = `${wanted}-${n}`
  return key
}

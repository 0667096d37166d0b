import type { Place, PutPlace } from '@still-pine/contract'
import { flawsOf, SCHOOLS, type Program } from '@still-pine/core/program'
import equal from 'fast-deep-equal'
import { command } from '../command'
import { schoolsFrom } from '../queries/schools'
import type { Reply } from '../query'
import { notFound, Refusal, refusedFor } from '../refusal'

export const settings = command('settings', {
  holds: 'nothing',
  parts: [],
  decide: (_parts, { body }) => [{ kind: 'settings', settings: body }],
  replies: [],
  reply: (_parts, { body }) => body,
})

/** Cuts a device off from the yard, or lets it back: which a starter does, not whoever holds a lost phone's fellow. */
export const putCutOff = command('putCutOff', {
  holds: 'nothing',
  parts: ['devices'],
  decide: ({ devices }, { named: { personId, deviceId }, body: { cutOff }, who, now }) => {
    const isOwn = personId === who.personId
    const isThere = devices.some((one) => one.id === deviceId && one.personId === personId)
    if (!isThere || !(who.role === 'starter' || (isOwn && cutOff))) throw notFound('This device')
    return [{ kind: 'cut-off', personId, deviceId, at: cutOff ? now : null }]
  },
  replies: [],
  reply: () => ({ ok: true }),
})

export const putPerson = command('putPerson', {
  // A yard needs somebody who may do everything; two who would each leave it to the other take turns.
  holds: 'the yard',
  parts: ['people'],
  decide: (
    { people },
    { named: { personId: id }, body: { password: _password, ...person }, passwordHash },
  ) => {
    const known = people.find((one) => one.id === id)
    const otherStarters = people.some(
      (one) => one.id !== id && one.role === 'starter' && one.standing === 'here',
    )
    if (known?.role === 'starter' && person.role !== 'starter' && !otherStarters)
      throw refusedFor('role', 'The yard needs a starter: make somebody else one first.')
    if (!known && person.email !== null && passwordHash === null)
      throw refusedFor('password', 'Who signs in needs a password to begin with.')
    return [{ kind: 'person', id, isNew: !known, person: { ...person, passwordHash } }]
  },
  replies: ['people'],
  reply: ({ people }, { named }) => {
    const kept = people.find(({ id }) => id === named.personId)
    if (!kept) throw notFound('This person')
    return kept
  },
})

/** Suspends somebody, removes them or lets them back: never oneself, so that the yard keeps a starter. */
export const putStanding = command('putStanding', {
  holds: 'the yard',
  parts: ['people'],
  decide: ({ people }, { named: { personId: id }, body: { standing }, who }) => {
    const known = people.find((one) => one.id === id)
    if (!known) throw notFound('This person')
    if (id === who.personId && standing !== 'here')
      throw refusedFor('standing', 'Another starter has to do this: nobody shuts themselves out.')
    return known.standing === standing ? [] : [{ kind: 'standing', id, standing }]
  },
  replies: ['people'],
  reply: ({ people }, { named }) => {
    const kept = people.find(({ id }) => id === named.personId)
    if (!kept) throw notFound('This person')
    return kept
  },
})

const isSamePlace = (a: Place, b: PutPlace): boolean =>
  a.name === b.name && a.home === b.home && a.note === b.note && a.suits.join() === b.suits.join()

export const putPlace = command('putPlace', {
  holds: 'the yard',
  parts: ['places'],
  decide: ({ places }, { named: { placeId: id }, body: place }) => {
    const known = places.find((one) => one.id === id)
    if (known && isSamePlace(known, place)) return []
    if (places.some((one) => one.id !== id && one.name === place.name))
      throw refusedFor('name', `There is a place called ${place.name} already.`)
    if (known && known.version !== place.version)
      throw new Refusal('stale', `${known.name} was changed meanwhile. Look at it again, then change it.`, {
        currentVersion: known.version,
      })
    return [{ kind: 'place', id, place: { ...place, version: known?.version ?? 0 } }]
  },
  replies: ['places'],
  reply: ({ places }, { named }) => {
    const kept = places.find(({ id }) => id === named.placeId)
    if (!kept) throw notFound('This place')
    return kept
  },
})

const checkSchool = (program: Program): void => {
  if (SCHOOLS.some(({ school }) => school === program.school))
    throw refusedFor(
      'program.school',
      `${program.name} ships with the product: copy it, then change the copy.`,
    )
  const flaws = flawsOf(program)
  if (flaws.length > 0) throw refusedFor('program', ...flaws.map(({ words }) => words))
}

/** Adds a version of one of the yard's own schools; a version never changes once it is there. */
export const putProgram = command('putProgram', {
  holds: 'the yard',
  parts: ['programs', 'knownProgram'],
  decide: ({ programs, knownProgram }, { named: { programId: id }, body: { basedOn, program } }) => {
    checkSchool(program)
    if (knownProgram) {
      if (equal(knownProgram, JSON.parse(JSON.stringify(program)))) return []
      throw new Refusal('already-there', 'This version is kept already, and says something else.')
    }
    const newest = programs.find(({ school }) => school === program.school)?.version ?? 0
    if (newest !== basedOn)
      throw new Refusal('stale', `${program.name} has a newer version. Look at both, then choose.`, {
        currentVersion: newest,
      })
    if (program.version !== basedOn + 1)
      throw refusedFor('program.version', `The next version is ${basedOn + 1}.`)
    return [{ kind: 'program', id, document: program, ships: false }]
  },
  replies: ['knownProgram'],
  reply: ({ knownProgram }, { named }) => {
    if (!knownProgram) throw notFound('This program')
    return { id: named.programId, program: knownProgram as Reply<'putProgram'>['program'] }
  },
})

/** Takes in the newer version of a school that ships: horses stay where they are until somebody moves them over. */
export const putOffered = command('putOffered', {
  holds: 'the yard',
  parts: ['programs'],
  decide: ({ programs }, { named: { school }, body: { version }, newId }) => {
    const shipped = SCHOOLS.find((one) => one.school === school)
    const newest = programs.find((one) => one.school === school)
    if (!shipped || !newest) throw notFound('This school')
    if (newest.version >= version) return []
    if (shipped.version !== version)
      throw refusedFor('version', `Version ${shipped.version} is the one that ships. Look at it again.`)
    return [{ kind: 'program', id: newId(), document: shipped, ships: true }]
  },
  replies: ['programs', 'horses'],
  reply: (parts, { named }) => schoolsFrom(parts).find(({ school }) => school === named.school)!,
})

/** Judges by another version of the yard's own values: its horses are worked out anew one by one, and serve until then. */
export const putFit = command('putFit', {
  holds: 'the yard',
  parts: ['fits'],
  decide: ({ fits }, { body: { version } }) => {
    if (version !== null && !fits.some((fit) => fit.version === version))
      throw refusedFor('version', 'There is no such version. Look at the list again.')
    const inUse = fits.find(({ isInUse }) => isInUse)?.version ?? null
    return version === inUse ? [] : [{ kind: 'fit', version }]
  },
  replies: ['fits'],
  reply: ({ fits }) => ({ fits }),
})

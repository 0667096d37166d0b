import type { Horse, PutHorse } from '@still-pine/contract'
import { FEET_FIRST, SCHOOLS, stepOf } from '@still-pine/core/program'
import { command, type YardChange } from '../command'
import type { ListedProgram } from '../parts'
import { Refusal, refusedFor } from '../refusal'
import { isLongAgo, LONGEST_LIFE_YEARS } from '../times'

const checkDays = (today: string, { born, arrived, estimate }: PutHorse): void => {
  const isFar = (day: string | null): boolean => day !== null && isLongAgo(today, day)
  const far = `This lies more than ${LONGEST_LIFE_YEARS} years back.`
  if (isFar(born))
    throw refusedFor('born', `A horse born more than ${LONGEST_LIFE_YEARS} years back is not started.`)
  if (isFar(arrived)) throw refusedFor('arrived', far)
  if (isFar(estimate?.on ?? null)) throw refusedFor('estimate.on', far)
  if (estimate !== null && estimate.on > today)
    throw refusedFor('estimate.on', 'An age cannot be said of a day that is still to come.')
  if (born !== null && born > today) throw refusedFor('born', 'It cannot be born after today.')
  if (born !== null && arrived < born) throw refusedFor('arrived', 'It cannot have come before it was born.')
  if (arrived > today) throw refusedFor('arrived', 'It cannot have come after today.')
}

/** Refuses a change that was made from an older version of the horse than there is. */
const refuseStale = ({ name, version }: Horse, from: number): void => {
  if (version !== from)
    throw new Refusal('stale', `${name} was changed meanwhile. Look at it again, then change it.`, {
      currentVersion: version,
    })
}

const WORDING = [
  'name',
  'born',
  'sex',
  'kind',
  'marks',
  'origin',
  'handled',
  'arrived',
  'feral',
  'bitted',
  'heightCm',
] as const

const isSame = (horse: Horse, form: PutHorse): boolean =>
  WORDING.every((key) => horse[key] === form[key]) &&
  JSON.stringify(horse.estimate) === JSON.stringify(form.estimate)

/** The newest version of a school here; one that ships comes in when it is first wanted. */
const programOfSchool = (
  school: string,
  { programs, newId }: { readonly programs: readonly ListedProgram[]; readonly newId: () => string },
): { readonly programId: string; readonly comesIn: readonly YardChange[] } => {
  const own = programs.find((one) => one.school === school)
  if (own) return { programId: own.programId, comesIn: [] }
  const shipped = SCHOOLS.find((one) => one.school === school)
  if (!shipped) throw refusedFor('school', `“${school}” is not a school of this yard.`)
  const id = newId()
  return { programId: id, comesIn: [{ kind: 'program', id, document: shipped, ships: true }] }
}

export const putHorse = command('putHorse', {
  holds: 'the horse',
  parts: ['knownHorse', 'programs'],
  decide: ({ knownHorse: horse, programs }, { named: { horseId: id }, body: form, today, newId }) => {
    checkDays(today, form)
    const school = form.school ?? horse?.school ?? FEET_FIRST.school
    if (horse && school === horse.school && isSame(horse, form)) return []
    if (horse) refuseStale(horse, form.version)
    if (horse && school === horse.school) return [{ kind: 'horse', id, form }]
    const { programId, comesIn } = programOfSchool(school, { programs, newId })
    return horse
      ? [...comesIn, { kind: 'horse', id, form }, { kind: 'moved-over', id, programId, isEdit: false }]
      : [...comesIn, { kind: 'horse-added', id, form, programId }]
  },
  replies: ['horse'],
  reply: ({ horse }) => horse,
})

export const putArchived = command('putArchived', {
  holds: 'the horse',
  parts: ['horse'],
  decide: ({ horse }, { body: { archived, version }, today }) => {
    if (archived !== null && archived.on > today)
      throw refusedFor('archived.on', 'This day is still to come.')
    if (archived !== null && archived.on < horse.arrived)
      throw refusedFor('archived.on', `${horse.name} had not come yet on this day (${horse.arrived}).`)
    if (JSON.stringify(archived) === JSON.stringify(horse.archived)) return []
    refuseStale(horse, version)
    return [{ kind: 'archived', id: horse.id, archived }]
  },
  replies: ['horse'],
  reply: ({ horse }) => horse,
})

export const putHandOver = command('putHandOver', {
  holds: 'the horse',
  parts: ['horse', 'program'],
  decide: ({ horse, program }, { body: { steps, version } }) => {
    const unknown = steps.find((key) => !stepOf(program, key))
    if (unknown) throw refusedFor('steps', `“${unknown}” is not a step of this horse’s program.`)
    if (steps.join() === horse.handOver.join()) return []
    refuseStale(horse, version)
    return [{ kind: 'hand-over', id: horse.id, steps }]
  },
  replies: ['horse'],
  reply: ({ horse }) => horse,
})

/** Moves a horse to another version of its school, or to another school. */
export const putHorseProgram = command('putHorseProgram', {
  holds: 'the horse',
  parts: ['horse', 'namedProgram'],
  names: ({ programId }) => ({ to: programId }),
  decide: ({ horse, namedProgram }, { body: { version } }) => {
    if (horse.programId === namedProgram.id) return []
    refuseStale(horse, version)
    return [{ kind: 'moved-over', id: horse.id, programId: namedProgram.id, isEdit: true }]
  },
  replies: ['horse'],
  reply: ({ horse }) => horse,
})

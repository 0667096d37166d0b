import { modelFor } from '@still-pine/core/judgement'
import type { School } from '@still-pine/contract'
import { judgedBy, SCHOOLS, type Program } from '@still-pine/core/program'
import { replayHorse, viewsOf } from '@still-pine/core/readiness'
import { movedOver } from '@still-pine/core/school-edit'
import type { ListedProgram, Parts } from '../parts'
import { query, type Reply } from '../query'

export const program = query('program', ['namedProgram'], ({ namedProgram: { id, document } }) => ({
  id,
  program: document as Reply<'program'>['program'],
}))

const isShipped = (school: string): boolean => SCHOOLS.some((one) => one.school === school)

type Described = Pick<School, 'school' | 'name' | 'ships' | 'copyOf' | 'offered'>

/** A school that ships, and whether its newest version is one the yard has not taken in. */
const shipped = ({ school, name, version }: Program, programs: readonly ListedProgram[]): Described => {
  const newest = programs.find((one) => one.school === school)
  const isNewer = newest !== undefined && newest.version < version
  return { school, name, ships: true, copyOf: null, offered: isNewer ? version : null }
}

/** The yard's own schools, each by the words of its newest version. */
const ownSchools = (programs: readonly ListedProgram[]): readonly Described[] => {
  const newest = new Map<string, Described>()
  for (const { school, name, copyOf } of programs)
    if (!newest.has(school) && !isShipped(school))
      newest.set(school, { school, name, ships: false, copyOf, offered: null })
  return [...newest.values()]
}

/** The schools that ship and the yard's own, with their versions and who is worked by each. */
export const schoolsFrom = ({ programs, horses }: Pick<Parts, 'programs' | 'horses'>): readonly School[] =>
  [...SCHOOLS.map((one) => shipped(one, programs)), ...ownSchools(programs)].map((one) => ({
    ...one,
    versions: programs
      .filter(({ school }) => school === one.school)
      .map(({ programId, version, madeAt, madeBy }) => ({
        programId,
        version,
        madeAt,
        madeBy,
        horses: horses
          .filter((horse) => horse.programId === programId)
          .map(({ id, name, version: edited }) => ({ id, name, version: edited })),
      })),
  }))

export const schools = query('schools', ['programs', 'horses'], (parts) => ({
  schools: [...schoolsFrom(parts)],
}))

/** What would become of a horse's tracks under another program, judged today. */
export const moveOver = query(
  'moveOver',
  ['horse', 'program', 'views', 'namedProgram', 'answersToNamed'],
  ({ program: from, views, namedProgram: { id, document: named }, answersToNamed }, { today }) => {
    const document = judgedBy(named, from.values ?? null)
    const model = modelFor(document)
    const after = viewsOf(model, document, {
      records: replayHorse(model, document, answersToNamed),
      on: today,
    })
    const { name, version } = document
    return { programId: id, name, version, steps: movedOver(from, document, { before: views, after }) }
  },
)

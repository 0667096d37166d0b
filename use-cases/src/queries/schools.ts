import { STANDARD_MODEL } from '@still-pine/core/belief'
import { SCHOOLS } from '@still-pine/core/program'
import { replayHorse, viewsOf } from '@still-pine/core/readiness'
import { movedOver } from '@still-pine/core/school-edit'
import type { ListedProgram } from '../parts'
import { query, type Reply } from '../query'

export const program = query('program', ['namedProgram'], ({ namedProgram: { id, document } }) => ({
  id,
  program: document as Reply<'program'>['program'],
}))

const SHIPPED = SCHOOLS.map(({ school, name }) => ({ school, name, ships: true, copyOf: null }))

const isShipped = (school: string): boolean => SHIPPED.some((one) => one.school === school)

/** The yard's own schools, each by the words of its newest version. */
const ownSchools = (programs: readonly ListedProgram[]) => {
  const newest = new Map<string, { school: string; name: string; ships: boolean; copyOf: string | null }>()
  for (const { school, name, copyOf } of programs)
    if (!newest.has(school) && !isShipped(school)) newest.set(school, { school, name, ships: false, copyOf })
  return [...newest.values()]
}

/** The schools that ship and the yard's own, with their versions and who is worked by each. */
export const schools = query('schools', ['programs', 'horses'], ({ programs, horses }) => ({
  schools: [...SHIPPED, ...ownSchools(programs)].map((one) => ({
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
  })),
}))

/** What would become of a horse's tracks under another program, judged today. */
export const moveOver = query(
  'moveOver',
  ['horse', 'program', 'views', 'namedProgram', 'answersToNamed'],
  ({ program: from, views, namedProgram: { id, document }, answersToNamed }, { today }) => {
    const after = viewsOf(
      STANDARD_MODEL,
      document,
      replayHorse(STANDARD_MODEL, document, answersToNamed),
      today,
    )
    const { name, version } = document
    return { programId: id, name, version, steps: movedOver(from, document, views, after) }
  },
)

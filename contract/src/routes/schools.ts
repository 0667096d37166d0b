import { addresses } from '../addresses'
import { Horse } from '../horses'
import { Id, StepKey, versionFrom } from '../primitives'
import { ProgramSchema } from '../program'
import { MoveOver, PutHorseProgram, PutProgram, School } from '../schools'
import { z } from 'zod'
import { horse, route } from './making'

/** A program as stored. */
export const ProgramDocument = z.object({ id: Id, program: ProgramSchema })

/** Schools and what a horse is worked by. */
export const schoolsRoutes = {
  program: route({
    ...addresses.program,
    summary: 'One version of a program',
    needs: 'read-yard',
    params: z.object({ programId: Id }),
    reply: ProgramDocument,
  }),
  schools: route({
    ...addresses.schools,
    summary: 'The schools that ship and the yard’s own, with their versions',
    needs: 'read-yard',
    reply: z.object({ schools: z.array(School) }),
  }),
  putProgram: route({
    ...addresses.putProgram,
    summary: 'Keep a new version of one of the yard’s own schools',
    needs: 'edit-school',
    params: z.object({ programId: Id }),
    body: PutProgram,
    reply: ProgramDocument,
  }),
  putOffered: route({
    ...addresses.putOffered,
    summary:
      'Take in the version of a shipped school that came with a newer product; horses stay until they are moved',
    needs: 'edit-school',
    params: z.object({ school: StepKey }),
    body: z.object({ version: versionFrom(1) }),
    reply: School,
  }),
  moveOver: route({
    ...addresses.moveOver,
    summary: 'What would become of each track if a horse moved to another program',
    needs: 'read-yard',
    params: horse,
    query: z.object({ to: Id }),
    reply: MoveOver,
  }),
  putHorseProgram: route({
    ...addresses.putHorseProgram,
    summary: 'Move a horse to another version of a school, or to another school',
    needs: 'edit-horse',
    params: horse,
    body: PutHorseProgram,
    reply: Horse,
  }),
} as const

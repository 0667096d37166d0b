import type { Horse } from '@still-pine/contract'
import { judgedBy, type Program } from '@still-pine/core/program'
import { notFound } from '@still-pine/use-cases'
import { v7 as uuid } from 'uuid'
import { programById } from '../data/programs'
import type { Client } from '../data/sql'
import type { KnownProgram } from '../threads'

/** One version of a program never changes: the newest used are kept, with what core remembers of their steps. */
const programs = new Map<string, Program>()
const MOST_PROGRAMS = 50

const keys = new WeakMap<Program, string>()

/** A program as threads know it again; one that was not read by its id they meet anew each time. */
export const forThreads = (document: Program): KnownProgram => ({
  key: keys.get(document) ?? uuid(),
  document,
})

/** The program of a horse, by the values it was worked out with. */
export const programOfHorse = async (
  client: Client,
  yardId: string,
  { programId, judgedBy: by }: Pick<Horse, 'programId' | 'judgedBy'>,
): Promise<Program> => {
  const program = await programNamed(client, yardId, programId)
  if (by === null) return program
  const judged = judgedBy(program, by.values)
  keys.set(judged, `${keys.get(program)!}/${by.version}`)
  return judged
}

/** A program of this yard by its id, as its document says. */
export const programNamed = async (client: Client, yardId: string, id: string): Promise<Program> => {
  const key = `${yardId}/${id}`
  const program = programs.get(key) ?? (await programById(client, id))?.document
  if (!program) throw notFound('This program')
  keys.set(program, key)
  programs.delete(key)
  programs.set(key, program)
  const [oldest] = programs.keys()
  if (programs.size > MOST_PROGRAMS) programs.delete(oldest!)
  return program
}

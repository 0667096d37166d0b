import type { Line } from '@still-pine/contract'
import { horseOfLine, waitingFor, type Question } from './known'
import { personHere } from './who'

/** A reply of the server, with how a session was arranged on this device and has not been sent yet. */
export const withWhatWaits = async (question: Question, body: unknown): Promise<unknown> => {
  const horseId = horseOfLine(question)
  if (horseId === undefined) return body
  const line = body as Line
  const personId = await personHere()
  const waiting = personId === null ? [] : await waitingFor(personId, horseId)
  const arranged = waiting
    .map(({ item }) => item)
    .findLast((item) => item.do === 'arrange' && item.day === line.day)
  return arranged?.do === 'arrange' ? { ...line, arranged: arranged.arrangement } : line
}

import type { SavedAnswer, Line } from '@still-pine/contract'
import { useQuery } from '../app/client'

/** Today’s answers of a horse, over its newest session of the day. */
export const useTodaysAnswers = (line: Line | undefined): readonly SavedAnswer[] => {
  const { data } = useQuery('sessions', { horseId: line?.horse.id ?? '' }, { skip: !line })
  const newest = data?.sessions.find(({ day }) => day === line?.day)
  const { data: session } = useQuery('session', { sessionId: newest?.id ?? '' }, { skip: !newest })
  return session?.answers.filter(({ voided }) => voided === null) ?? []
}

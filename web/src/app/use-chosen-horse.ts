import { useParams } from 'react-router'
import { useTodayQuery } from './api'

/** The horse that is chosen: the one in the address, or the first of today's string. */
export const useChosenHorse = (): string | null => {
  const { horseId } = useParams()
  const { data } = useTodayQuery()
  return horseId ?? data?.rows[0]?.horse.id ?? null
}

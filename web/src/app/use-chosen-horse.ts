import { useParams } from 'react-router'
import { useQuery } from './client'

/** The horse that is chosen: the one in the address, or the first of today's string. */
export const useChosenHorse = (): string | null => {
  const { horseId } = useParams()
  const { data } = useQuery('today')
  return horseId ?? data?.rows[0]?.horse.id ?? null
}

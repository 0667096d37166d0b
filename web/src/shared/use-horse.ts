import { useParams } from 'react-router'
import { judgedBy } from '@still-pine/core/program'
import { useQuery } from '../app/client'

/** The horse in the address, its Line and its program. */
export const useHorse = () => {
  const { horseId = '' } = useParams()
  const { data, error, refetch } = useQuery('line', { horseId })
  const line = data?.horse.id === horseId ? data : undefined
  // Not the program of the horse before, or of the school before, while this one is on its way.
  const { currentData: program, error: programError } = useQuery(
    'program',
    { programId: line?.horse.programId ?? '' },
    {
      skip: !line,
    },
  )
  return {
    horseId,
    line,
    program: program && judgedBy(program.program, line?.horse.judgedBy?.values ?? null),
    error: line ? programError : error,
    retry: () => void refetch(),
  }
}

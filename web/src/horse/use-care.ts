import { useMemo } from 'react'
import { useQuery } from '../app/client'

/** The checks and incidents of a horse, once both are known. */
export const useCare = (horseId: string) => {
  const { data: checks, error } = useQuery('checks', { horseId })
  const { data: incidents, error: noIncidents } = useQuery('incidents', { horseId })
  const data = useMemo(() => checks && incidents && { ...checks, ...incidents }, [checks, incidents])
  return { data, error: error ?? noIncidents }
}

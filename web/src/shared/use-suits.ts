import type { Outlook } from '@still-pine/core/plan'
import { useQuery } from '../app/client'

/** What the place of this name suits; `null` where none was chosen. */
export const useSuits = (where: string | null): Outlook['suits'] => {
  const { data } = useQuery('places')
  return data?.places.find(({ name }) => name === where)?.suits ?? null
}

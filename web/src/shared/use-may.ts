import { mayDo, type Action } from '@still-pine/contract/rights'
import { useQuery } from '../app/client'

/** Whether whoever is signed in may do something: what ends in a refusal is not offered. */
export const useMay = (action: Action): boolean => {
  const { data: me } = useQuery('me')
  return me !== undefined && mayDo(me.person.role, action)
}

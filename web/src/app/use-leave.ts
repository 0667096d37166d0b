import { useNavigate } from 'react-router'
import { forgetCopies, oweSignOut, paySignOut, wipe } from '@still-pine/device'
import { api } from './client'
import { useAppDispatch } from './store'

/** Signs out here at once, and at the server as soon as it can be told. */
export const useLeave = (personId: string) => {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const leave = async (forget: (personId: string) => Promise<void>): Promise<void> => {
    await oweSignOut()
    await forget(personId)
    await paySignOut()
    await navigate('/before')
    dispatch(api.util.resetApiState())
  }
  return {
    signOutAndKeep: () => leave(forgetCopies),
    signOutAndWipe: () => leave(wipe),
  }
}

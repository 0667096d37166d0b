import { useNavigate } from 'react-router'
import { paySignOut } from '../offline/send'
import { forgetCopies, oweSignOut, wipe } from '../offline/who'
import { api } from './api'
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

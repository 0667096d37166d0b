import { lazy, Suspense, type ReactNode } from 'react'
import { Loading } from '../shared/loading'
import { tellTimeOf } from '../shared/words'
import { problemOf, useQuery } from './client'
import { useTheme } from './theme'

const SignInPage = lazy(() => import('./sign-in-page'))
const OwnerPage = lazy(() => import('../owner/owner-page'))
const FirstRunPage = lazy(() => import('./first-run-page'))
const SharedReportPage = lazy(() => import('../owner/shared-report-page'))
const NewPasswordPage = lazy(() => import('./new-password-page'))

const NEW_PASSWORD = '/new-password'
const SHARED_REPORT = '/report'

/** Lets signed-in people through, an owner to their own reports; others sign in here, and an empty server makes its yard first. */
export const Gatekeeper = ({ children }: { children: ReactNode }) => {
  const about = useQuery('about')
  const me = useQuery('me')
  useTheme(me.data?.person.settings.theme)
  if (me.data) tellTimeOf(me.data.yard.timeZone)
  // Who comes by such a link is signed in as nobody, or as somebody else.
  if (window.location.pathname === NEW_PASSWORD)
    return (
      <Suspense fallback={<Loading />}>
        <NewPasswordPage />
      </Suspense>
    )
  if (window.location.pathname === SHARED_REPORT)
    return (
      <Suspense fallback={<Loading />}>
        <SharedReportPage />
      </Suspense>
    )
  const problem = problemOf(me.error)
  const isCutOff = problem?.type === 'cut-off'
  const isSignedOut = isCutOff || problem?.type === 'signed-out'
  if (about.data?.needsFirstRun)
    return (
      <Suspense fallback={<Loading />}>
        <FirstRunPage />
      </Suspense>
    )
  if (isSignedOut && about.data)
    return (
      <Suspense fallback={<Loading />}>
        <SignInPage demo={about.data.demo} why={isCutOff ? problem.title : null} />
      </Suspense>
    )
  if (me.data?.person.role === 'owner')
    return (
      <Suspense fallback={<Loading />}>
        <OwnerPage me={me.data} />
      </Suspense>
    )
  if (me.data) return children
  return (
    <Loading error={me.error ?? about.error} retry={() => void me.refetch().then(() => about.refetch())} />
  )
}

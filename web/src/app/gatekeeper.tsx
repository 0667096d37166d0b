import { lazy, Suspense, type ComponentType, type ReactNode } from 'react'
import { Loading } from '../shared/loading'
import { tellTimeOf } from '../shared/words'
import { problemOf, useQuery } from './client'
import { useTheme } from './theme'

const SignInPage = lazy(() => import('./sign-in-page'))
const OwnerPage = lazy(() => import('../owner/owner-page'))
const FirstRunPage = lazy(() => import('./first-run-page'))
const SharedReportPage = lazy(() => import('../owner/shared-report-page'))
const NewPasswordPage = lazy(() => import('./new-password-page'))

/** Pages for whoever comes by a link: signed in as nobody, or as somebody else. */
const BY_LINK: Readonly<Record<string, ComponentType>> = {
  '/new-password': NewPasswordPage,
  '/report': SharedReportPage,
}

/** Lets signed-in people through, an owner to their own reports; others sign in here, and an empty server makes its yard first. */
export const Gatekeeper = ({ children }: { children: ReactNode }) => {
  const about = useQuery('about')
  const me = useQuery('me')
  useTheme(me.data?.person.settings.theme)
  if (me.data) tellTimeOf(me.data.yard.timeZone)
  const problem = problemOf(me.error)
  const isCutOff = problem?.type === 'cut-off'
  const ByLink = BY_LINK[window.location.pathname]
  const page = (): ReactNode => {
    if (ByLink) return <ByLink />
    if (about.data?.needsFirstRun) return <FirstRunPage />
    if ((isCutOff || problem?.type === 'signed-out') && about.data)
      return <SignInPage demo={about.data.demo} why={isCutOff ? problem.title : null} />
    if (me.data?.person.role === 'owner') return <OwnerPage me={me.data} />
    if (me.data) return children
    return (
      <Loading error={me.error ?? about.error} retry={() => void me.refetch().then(() => about.refetch())} />
    )
  }
  return <Suspense fallback={<Loading />}>{page()}</Suspense>
}

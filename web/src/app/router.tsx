import type { ComponentType } from 'react'
import { createBrowserRouter, Navigate, type LoaderFunctionArgs } from 'react-router'
import { Shell } from './shell'
import { useChosenHorse } from './use-chosen-horse'
import { Loading } from '../shared/loading'
import { api, useQuery } from './client'
import { EmptyYard } from '../yard/empty-yard'
import { Broken } from './broken'
import { store } from './store'

/** A page that is fetched when its address is first opened. */
const page = (load: () => Promise<{ default: ComponentType }>) => ({
  lazy: async () => ({ Component: (await load()).default }),
})

/** A horse's Line is asked for while the page that shows it is still on its way. */
const horsePage = (load: () => Promise<{ default: ComponentType }>) => ({
  ...page(load),
  loader: ({ params }: LoaderFunctionArgs) => {
    store.dispatch(api.util.prefetch('line', { horseId: params.horseId! }, {}))
    return null
  },
})

/** A part of the day without a horse in its address goes to the chosen one. */
const ToHorse = ({ part }: { part: string }) => {
  const { data, error, refetch } = useQuery('today')
  const horseId = useChosenHorse()
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return horseId ? <Navigate to={`/${part}/${horseId}`} replace /> : <EmptyYard />
}

export const router = createBrowserRouter([
  {
    element: <Shell />,
    HydrateFallback: Loading,
    errorElement: <Broken />,
    children: [
      { index: true, element: <Navigate to="/before" replace /> },
      { path: 'before', element: <ToHorse part="before" /> },
      { path: 'pen', element: <ToHorse part="pen" /> },
      { path: 'after', element: <ToHorse part="after" /> },
      { path: 'before/:horseId', ...horsePage(() => import('../before/before-page')) },
      { path: 'pen/:horseId', ...horsePage(() => import('../pen/pen-page')) },
      { path: 'after/:horseId', ...horsePage(() => import('../after/after-page')) },
      { path: 'week', ...page(() => import('../week/week-page')) },
      { path: 'yard', ...page(() => import('../yard/yard-page')) },
      { path: 'yard/reading', ...page(() => import('../yard/reading/yard-reading-page')) },
      { path: 'yard/judging', ...page(() => import('../yard/reading/judging-page')) },
      { path: 'yard/in', ...page(() => import('../yard/files/import-page')) },
      { path: 'yard/schools', ...page(() => import('../yard/schools/schools-page')) },
      { path: 'yard/schools/:school', ...page(() => import('../yard/schools/school-page')) },
      { path: 'yard/schools/:school/edit', ...page(() => import('../yard/schools/editor/editor-page')) },
      { path: 'yard/waiting', ...page(() => import('../yard/saved/saved-page')) },
      { path: 'practice', ...page(() => import('../pen/practice/practice-page')) },
      { path: 'horses/new', ...page(() => import('../yard/new-horse-page')) },
      { path: 'horses/:horseId', ...horsePage(() => import('../horse/line-page')) },
      { path: 'horses/:horseId/steps', ...horsePage(() => import('../horse/steps-page')) },
      {
        path: 'horses/:horseId/from-above',
        ...page(() => import('../pen/from-above/from-above-page')),
      },
      { path: 'horses/:horseId/incidents', ...page(() => import('../horse/care/care-page')) },
      { path: 'horses/:horseId/edit', ...horsePage(() => import('../yard/edit-horse-page')) },
      { path: 'horses/:horseId/book', ...page(() => import('../horse/book-page')) },
      { path: 'horses/:horseId/steps/:stepKey', ...horsePage(() => import('../horse/evidence-page')) },
      { path: 'horses/:horseId/steps/:stepKey/card', ...page(() => import('../horse/card-page')) },
      { path: 'horses/:horseId/trouble', ...horsePage(() => import('../horse/trouble/trouble-page')) },
      { path: 'horses/:horseId/counts', ...horsePage(() => import('../horse/counts-page')) },
      { path: 'horses/:horseId/reading', ...horsePage(() => import('../horse/reading/reading-page')) },
      { path: 'horses/:horseId/recheck', ...horsePage(() => import('../horse/recheck/recheck-page')) },
      { path: 'horses/:horseId/move-over', ...horsePage(() => import('../horse/move-over-page')) },
      { path: 'horses/:horseId/arrival', ...horsePage(() => import('../horse/arrival/arrival-page')) },
      { path: 'horses/:horseId/blocks', ...horsePage(() => import('../horse/blocks/blocks-page')) },
      {
        path: 'horses/:horseId/blocks/:blockId',
        ...horsePage(() => import('../horse/blocks/snapshot-page')),
      },
      { path: 'horses/:horseId/farrier', ...page(() => import('../horse/farrier/farrier-page')) },
      { path: 'horses/:horseId/gates/:gateKey', ...horsePage(() => import('../horse/gate/gate-page')) },
      { path: '*', element: <Navigate to="/before" replace /> },
    ],
  },
])

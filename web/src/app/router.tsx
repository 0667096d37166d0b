import { lazy, type ComponentType } from 'react'
import { createBrowserRouter, Navigate } from 'react-router'
import { Shell } from './shell'
import { useChosenHorse } from './use-chosen-horse'
import { Loading } from '../ui/loading'
import { useTodayQuery } from './api'
import { EmptyYard } from '../yard/empty-yard'
import { Broken } from './broken'

const page = (load: () => Promise<{ default: ComponentType }>) => {
  const Page = lazy(load)
  return <Page />
}

/** A part of the day without a horse in its address goes to the chosen one. */
const ToHorse = ({ part }: { part: string }) => {
  const { data, error, refetch } = useTodayQuery()
  const horseId = useChosenHorse()
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return horseId ? <Navigate to={`/${part}/${horseId}`} replace /> : <EmptyYard />
}

export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      { index: true, element: <Navigate to="/before" replace /> },
      { path: 'before', element: <ToHorse part="before" /> },
      { path: 'pen', element: <ToHorse part="pen" /> },
      { path: 'after', element: <ToHorse part="after" /> },
      { path: 'before/:horseId', element: page(() => import('../before/before-page')) },
      { path: 'pen/:horseId', element: page(() => import('../pen/pen-page')) },
      { path: 'after/:horseId', element: page(() => import('../after/after-page')) },
      { path: 'week', element: page(() => import('../week/week-page')) },
      { path: 'yard', element: page(() => import('../yard/yard-page')) },
      { path: 'yard/in', element: page(() => import('../yard/files/bring-in-page')) },
      { path: 'yard/waiting', element: page(() => import('../yard/waiting-page')) },
      { path: 'horses/new', element: page(() => import('../yard/new-horse-page')) },
      { path: 'horses/:horseId', element: page(() => import('../horse/line-page')) },
      { path: 'horses/:horseId/steps', element: page(() => import('../horse/steps-page')) },
      { path: 'horses/:horseId/incidents', element: page(() => import('../horse/care/care-page')) },
      { path: 'horses/:horseId/book', element: page(() => import('../horse/book-page')) },
      { path: 'horses/:horseId/steps/:stepKey', element: page(() => import('../horse/evidence-page')) },
      { path: 'horses/:horseId/gates/:gateKey', element: page(() => import('../horse/gate/gate-page')) },
      { path: '*', element: <Navigate to="/before" replace /> },
    ],
  },
])

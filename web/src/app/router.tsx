import type { ComponentType } from 'react'
import { createBrowserRouter, Navigate, type LoaderFunctionArgs } from 'react-router'
import { Shell } from './shell'
import { useChosenHorse } from './use-chosen-horse'
import { Loading } from '../shared/loading'
import { api, useQuery } from './client'
import { EmptyYard } from '../yard/empty-yard'
import { Broken } from './broken'
import { NotFound } from './not-found'
import { store } from './store'

const ASK_AGAIN_AFTER_MS = [250, 1_000]

/** A browser that has much to do now and then fails to give what it has kept: it is asked again before giving up. */
const fetched = async <T,>(load: () => Promise<T>): Promise<T> => {
  for (const pause of ASK_AGAIN_AFTER_MS)
    try {
      return await load()
    } catch {
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
  return load()
}

/** A page that is fetched when its address is first opened. */
const page = (load: () => Promise<{ default: ComponentType }>) => ({
  lazy: async () => ({ Component: (await fetched(load)).default }),
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

/** Where the sessions of a horse stood before. */
const ToRecord = () => <Navigate to="../record" relative="path" replace />

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
      { path: 'before/:horseId', handle: 'Before', ...horsePage(() => import('../before/before-page')) },
      { path: 'pen/:horseId', handle: 'Pen', ...horsePage(() => import('../pen/pen-page')) },
      {
        path: 'pen/:horseId/line',
        handle: 'On the line',
        ...horsePage(() => import('../pen/line/line-work-page')),
      },
      {
        path: 'pen/:horseId/ride',
        handle: 'On its back',
        ...horsePage(() => import('../pen/riding/riding-page')),
      },
      {
        path: 'pen/:horseId/up',
        handle: 'First time up',
        ...horsePage(() => import('../pen/up/run-sheet-page')),
      },
      { path: 'after/:horseId', handle: 'After', ...horsePage(() => import('../after/after-page')) },
      { path: 'week', handle: 'Week', ...page(() => import('../week/week-page')) },
      {
        path: 'week/from',
        handle: 'What a week is planned from',
        ...page(() => import('../week/from/from-page')),
      },
      { path: 'yard', handle: 'Yard', ...page(() => import('../yard/yard-page')) },
      {
        path: 'yard/reading',
        handle: 'How the yard stands',
        ...page(() => import('../yard/reading/yard-reading-page')),
      },
      {
        path: 'yard/judging',
        handle: 'How well do we judge?',
        ...page(() => import('../yard/reading/judging-page')),
      },
      { path: 'yard/people', handle: 'People', ...page(() => import('../yard/people/people-page')) },
      { path: 'yard/places', handle: 'Places', ...page(() => import('../yard/places/places-page')) },
      { path: 'yard/files', handle: 'Files', ...page(() => import('../yard/files/files-page')) },
      { path: 'yard/law', handle: 'Law', ...page(() => import('../yard/law/law-page')) },
      { path: 'yard/settings', handle: 'Settings', ...page(() => import('../yard/settings/settings-page')) },
      { path: 'yard/made-up', handle: 'A made-up yard', ...page(() => import('../yard/made-up-page')) },
      { path: 'yard/in', handle: 'Import', ...page(() => import('../yard/files/import-page')) },
      { path: 'yard/schools', handle: 'Schools', ...page(() => import('../yard/schools/schools-page')) },
      {
        path: 'yard/schools/:school',
        handle: 'School',
        ...page(() => import('../yard/schools/school-page')),
      },
      {
        path: 'yard/schools/:school/edit',
        handle: 'Change a school',
        ...page(() => import('../yard/schools/editor/editor-page')),
      },
      { path: 'yard/waiting', handle: 'What is unsent', ...page(() => import('../yard/saved/saved-page')) },
      { path: 'practice', handle: 'Practice pen', ...page(() => import('../pen/practice/practice-page')) },
      { path: 'horses/new', handle: 'A new horse', ...page(() => import('../yard/new-horse-page')) },
      { path: 'horses/:horseId', handle: 'Line', ...horsePage(() => import('../horse/line-page')) },
      { path: 'horses/:horseId/steps', handle: 'Steps', ...horsePage(() => import('../horse/steps-page')) },
      {
        path: 'horses/:horseId/from-above',
        handle: 'From above',
        ...page(() => import('../pen/from-above/from-above-page')),
      },
      {
        path: 'horses/:horseId/incidents',
        handle: 'Checks and incidents',
        ...page(() => import('../horse/care/care-page')),
      },
      { path: 'horses/:horseId/life', handle: 'Life', ...horsePage(() => import('../horse/life-page')) },
      { path: 'horses/:horseId/book', element: <ToRecord /> },
      { path: 'horses/:horseId/edit', handle: 'Edit', ...horsePage(() => import('../yard/edit-horse-page')) },
      {
        path: 'horses/:horseId/record',
        handle: 'Record',
        ...page(() => import('../horse/record/record-page')),
      },
      {
        path: 'horses/:horseId/steps/:stepKey',
        handle: 'Step',
        ...horsePage(() => import('../horse/evidence-page')),
      },
      {
        path: 'horses/:horseId/steps/:stepKey/card',
        handle: 'How to ask it',
        ...page(() => import('../horse/card-page')),
      },
      {
        path: 'horses/:horseId/trouble',
        handle: 'Trouble',
        ...horsePage(() => import('../horse/trouble/trouble-page')),
      },
      {
        path: 'horses/:horseId/counts',
        handle: 'Counts',
        ...horsePage(() => import('../horse/counts-page')),
      },
      {
        path: 'horses/:horseId/reading',
        handle: 'How it goes',
        ...horsePage(() => import('../horse/reading/reading-page')),
      },
      {
        path: 'horses/:horseId/recheck',
        handle: 'Re-check',
        ...horsePage(() => import('../horse/recheck/recheck-page')),
      },
      {
        path: 'horses/:horseId/move-over',
        handle: 'Move to a school',
        ...horsePage(() => import('../horse/move-over-page')),
      },
      {
        path: 'horses/:horseId/arrival',
        handle: 'Arrival check',
        ...horsePage(() => import('../horse/arrival/arrival-page')),
      },
      {
        path: 'horses/:horseId/blocks',
        handle: 'Blocks',
        ...horsePage(() => import('../horse/blocks/blocks-page')),
      },
      {
        path: 'horses/:horseId/blocks/:blockId',
        handle: 'Report',
        ...horsePage(() => import('../horse/blocks/snapshot-page')),
      },
      {
        path: 'horses/:horseId/going',
        handle: 'Going',
        ...horsePage(() => import('../horse/going/going-page')),
      },
      { path: 'horses/:horseId/cues', handle: 'Cues', ...horsePage(() => import('../horse/cues/cues-page')) },
      {
        path: 'horses/:horseId/things',
        handle: 'Things',
        ...horsePage(() => import('../horse/things/things-page')),
      },
      {
        path: 'horses/:horseId/care',
        handle: 'Care',
        ...horsePage(() => import('../horse/care-calendar/care-calendar-page')),
      },
      {
        path: 'horses/:horseId/rides',
        handle: 'Rides',
        ...horsePage(() => import('../horse/rides/rides-page')),
      },
      { path: 'horses/:horseId/tack', handle: 'Tack', ...horsePage(() => import('../horse/tack/tack-page')) },
      { path: 'horses/:horseId/body', handle: 'Body', ...horsePage(() => import('../horse/body/body-page')) },
      {
        path: 'horses/:horseId/report',
        handle: 'Report',
        ...horsePage(() => import('../horse/report/report-page')),
      },
      {
        path: 'horses/:horseId/poles',
        handle: 'Poles and fences',
        ...horsePage(() => import('../horse/poles/poles-page')),
      },
      {
        path: 'horses/:horseId/passport',
        handle: 'Passport',
        ...horsePage(() => import('../horse/passport/passport-page')),
      },
      {
        path: 'horses/:horseId/farrier',
        handle: 'For the farrier',
        ...page(() => import('../horse/farrier/farrier-page')),
      },
      {
        path: 'horses/:horseId/gates/:gateKey',
        handle: 'Gate',
        ...horsePage(() => import('../horse/gate/gate-page')),
      },
      { path: '*', handle: 'Not found', element: <NotFound /> },
    ],
  },
])

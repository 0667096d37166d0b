import { CalendarDays, CircleHelp, ClipboardCheck, Fence, ListOrdered, Search, Timer } from 'lucide-react'
import { lazy, Suspense, useEffect, type ReactNode } from 'react'
import { Link, NavLink, Outlet, useLocation } from 'react-router'
import { drainFor } from '@still-pine/device'
import { listenToYard } from '../offline/listen'
import { listening, syncChanged, howLong, syncWords } from '../offline/sync-slice'
import { useCarrying, wasChanged } from '../offline/use-carrying'
import { useNow } from '../ui/use-now'
import { useSettled } from '../ui/use-settled'
import { clock, longDay, otherZone } from '../shared/words'
import { useQuery } from './client'
import { useShownAt } from './shown'
import { MadeUpBanner } from './made-up-banner'
import { ReachBanner } from './reach-banner'
import { refreshWhenQuiet } from './refresh-when-quiet'
import { store, useAppDispatch, useAppSelector } from './store'
import { TagRail } from './tag-rail'
import { useChosenHorse } from './use-chosen-horse'
import { usePageTitle } from './use-page-title'
import { useShellKeys } from './use-shell-keys'

// Loaded the first time they are opened.
const Toaster = lazy(() => import('sonner').then(({ Toaster }) => ({ default: Toaster })))
const loadFinder = () => import('./finder-panel')
const FinderPanel = lazy(loadFinder)
const KeysHelp = lazy(() => import('./keys-help'))

const PARTS = [
  { to: 'before', word: 'Before', icon: ListOrdered },
  { to: 'pen', word: 'Pen', icon: Timer },
  { to: 'after', word: 'After', icon: ClipboardCheck },
  { to: 'week', word: 'Week', icon: CalendarDays },
  { to: 'yard', word: 'Yard', icon: Fence },
] as const

/** Shows what other devices send; where that is not told, looks again whenever the page is looked at again. */
const useChanges = (personId: string | undefined): void => {
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (personId === undefined) return
    const stop = listenToYard((heard) => {
      if ('isListening' in heard) dispatch(listening(heard.isListening))
      if (!('changed' in heard)) return
      wasChanged(heard.changed ?? [])
      dispatch(refreshWhenQuiet(heard.changed))
    })
    const lookedAt = (): void => {
      if (!document.hidden && !store.getState().sync.isListening) dispatch(refreshWhenQuiet(null))
    }
    document.addEventListener('visibilitychange', lookedAt)
    return () => {
      stop()
      document.removeEventListener('visibilitychange', lookedAt)
    }
  }, [dispatch, personId])
}

/** Keeps sending the outbox while somebody is signed in. */
const useDrain = (personId: string | undefined): void => {
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (personId === undefined) return
    return drainFor({
      personId,
      isAsking: () => store.getState().pen?.running != null,
      onState: (state) => dispatch(syncChanged(state)),
      onSent: (horseIds) => {
        wasChanged(horseIds)
        dispatch(refreshWhenQuiet(horseIds))
      },
      onSaved: (horseIds) => dispatch(refreshWhenQuiet(horseIds)),
    })
  }, [dispatch, personId])
}

/** Old enough to be told apart from the day's course. */
const OLD_MS = 10 * 60_000

/** How old what stands on the page is. */
const AsOf = () => {
  const shownAt = useShownAt()
  const { isListening, isAway } = useAppSelector(({ sync }) => sync)
  const now = useNow(30_000)
  const at = shownAt === null || (isListening && !isAway) ? now : shownAt
  const age = now - at
  // A phone has room for it only where it is to be known.
  return (
    <span className={age > OLD_MS ? 'font-bold text-ink' : 'phone:sr-only'}>
      as of {clock(new Date(at).toISOString())}
      {age > OLD_MS && ` (${howLong(age)} ago)`} ·{' '}
    </span>
  )
}

const SyncMark = () => {
  const sync = useAppSelector((state) => state.sync)
  const now = useNow(30_000)
  return (
    <span role="status">
      <Link to="/yard/waiting" className={sync.needYou > 0 ? 'font-bold text-stop underline' : ''}>
        {syncWords(sync, now)}
      </Link>
    </span>
  )
}

const Nav = ({ horseId }: { horseId: string | null }) => (
  <nav
    aria-label="Parts of the day"
    className="flex gap-1 phone:fixed phone:inset-x-0 phone:bottom-0 phone:z-30 phone:justify-around phone:border-t-2 phone:border-ink phone:bg-panel desk:gap-4"
  >
    {PARTS.map(({ to, word, icon: Icon }) => {
      const path = ['before', 'pen', 'after'].includes(to) && horseId ? `/${to}/${horseId}` : `/${to}`
      return (
        <NavLink
          key={to}
          to={path}
          className={({ isActive }) =>
            `flex items-center gap-2 px-2 font-name font-bold phone:min-h-16 phone:min-w-16 phone:flex-col phone:justify-center phone:gap-0 phone:text-sm desk:min-h-11 desk:text-lg ${
              isActive ? 'text-ink underline decoration-4 underline-offset-8' : 'text-quiet'
            }`
          }
        >
          <Icon aria-hidden="true" className="size-6 desk:hidden" />
          {word}
        </NavLink>
      )
    })}
  </nav>
)

interface FrameProps {
  readonly find: () => void
  readonly help: () => void
  readonly children: ReactNode
}

const Tool = ({ icon: Icon, word, press }: { icon: typeof Search; word: string; press: () => void }) => (
  <button
    type="button"
    className="inline-flex min-h-11 items-center gap-1 font-name font-bold"
    onClick={press}
  >
    <Icon aria-hidden="true" className="size-5" />
    {word}
  </button>
)

const Frame = ({ find, help, children }: FrameProps) => {
  const { data: me } = useQuery('me')
  const horseId = useChosenHorse()
  // Said where the device keeps another time than the yard.
  const zone = me && otherZone(me.yard.timeZone)
  return (
    <div className="mx-auto flex min-h-dvh max-w-[80rem] flex-col phone:pb-20">
      <header className="no-print flex flex-wrap items-center justify-between gap-x-4 border-b-2 border-ink px-4 py-2 desk:px-5">
        <div className="flex items-center gap-8">
          <Link to="/before" className="font-name text-xl font-extrabold">
            {me?.yard.name ?? 'Still Pine'}
          </Link>
          <Nav horseId={horseId} />
        </div>
        <p className="text-quiet phone:order-last phone:w-full desk:ml-auto">
          {me && longDay(me.today)} · {zone && `times of ${zone} · `}
          <AsOf />
          <SyncMark />
        </p>
        <div className="flex gap-x-4">
          <Tool icon={Search} word="Find" press={find} />
          <Tool icon={CircleHelp} word="Help" press={help} />
        </div>
      </header>
      {me?.yard.demo && <MadeUpBanner />}
      {me && <ReachBanner personId={me.person.id} horseId={horseId} />}
      <TagRail chosen={horseId} />
      {children}
    </div>
  )
}

/** Everything around a page of a signed-in person; the pen alone fills the whole screen. */
export const Shell = () => {
  const { data: me } = useQuery('me')
  const { pathname } = useLocation()
  // The page first; sending and carrying are not seen.
  const personId = useSettled() ? me?.person.id : undefined
  useDrain(personId)
  useChanges(personId)
  useCarrying(personId)
  usePageTitle()
  // Who types on at once after its key must not miss the field.
  useEffect(() => {
    if (personId !== undefined) void loadFinder()
  }, [personId])
  const isPen = pathname.startsWith('/pen/')
  const keys = useShellKeys(isPen)
  return (
    <>
      {isPen ? (
        <Outlet />
      ) : (
        <Frame find={keys.find} help={keys.help}>
          <Outlet />
        </Frame>
      )}
      <Suspense fallback={null}>
        {keys.finding && <FinderPanel onClose={keys.stopFinding} />}
        {keys.helping && <KeysHelp onClose={keys.stopHelping} isPen={isPen} />}
      </Suspense>
      <Suspense fallback={null}>
        <Toaster
          position="top-center"
          // In the pen of a phone the danger button stands at the top: nothing may lie over it.
          {...(isPen && { mobileOffset: { top: '8.5rem' } })}
          toastOptions={{ style: { fontFamily: 'inherit', fontSize: '1rem' } }}
        />
      </Suspense>
    </>
  )
}

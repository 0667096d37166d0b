import { useSyncExternalStore } from 'react'

const DESK = '(width >= 48rem)'

const onChange = (changed: () => void): (() => void) => {
  const query = window.matchMedia(DESK)
  query.addEventListener('change', changed)
  return () => query.removeEventListener('change', changed)
}

/** Whether this is a desk’s screen: where drawing both layouts would cost a phone its quickness, only one is drawn. */
export const useIsDesk = (): boolean => useSyncExternalStore(onChange, () => window.matchMedia(DESK).matches)

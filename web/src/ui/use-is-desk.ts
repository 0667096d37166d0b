import { useSyncExternalStore } from 'react'

// One for the whole page: to ask for it anew costs a slow phone a good part of a millisecond at every press.
const desk = window.matchMedia('(width >= 48rem) and (height >= 32rem)')

const onChange = (changed: () => void): (() => void) => {
  desk.addEventListener('change', changed)
  return () => desk.removeEventListener('change', changed)
}

/** Whether this is a desk’s screen: where drawing both layouts would cost a phone its quickness, only one is drawn. */
export const useIsDesk = (): boolean => useSyncExternalStore(onChange, () => desk.matches)

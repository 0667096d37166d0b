import { useCallback, useLayoutEffect, useRef, useState } from 'react'

/** A callback that stays the same and always does the newest thing. */
export const useLatest = <A extends unknown[]>(act: (...args: A) => void): ((...args: A) => void) => {
  const latest = useRef(act)
  useLayoutEffect(() => {
    latest.current = act
  }, [act])
  return useCallback((...args: A) => latest.current(...args), [])
}

/** An object of such callbacks; its keys do not change. */
export const useLatestOf = <T extends object>(acts: T): T => {
  const latest = useRef(acts)
  useLayoutEffect(() => {
    latest.current = acts
  }, [acts])
  const [same] = useState(
    () =>
      Object.fromEntries(
        (Object.keys(acts) as (keyof T)[]).map((key) => [
          key,
          (...args: unknown[]) => (latest.current[key] as (...all: unknown[]) => unknown)(...args),
        ]),
      ) as T,
  )
  return same
}

import type { Settings } from '@still-pine/contract'
import { useEffect } from 'react'

/** Sets the colours of the whole page; `system` follows the device. */
export const useTheme = (theme: Settings['theme'] | undefined): void => {
  useEffect(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)')
    const apply = (): void => {
      const chosen = theme ?? 'system'
      document.documentElement.dataset.theme =
        chosen === 'system' ? (dark.matches ? 'dark' : 'light') : chosen
    }
    apply()
    dark.addEventListener('change', apply)
    return () => dark.removeEventListener('change', apply)
  }, [theme])
}

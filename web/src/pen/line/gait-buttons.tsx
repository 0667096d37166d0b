import type { Press } from '@still-pine/core/load'
import { useEffect } from 'react'

export const GAIT_WORDS = { stand: 'Standing', walk: 'Walk', trot: 'Trot', canter: 'Canter' } as const

/** Minutes as a clock shows them. */
export const clock = (minutes: number): string => {
  const seconds = Math.max(0, Math.round(60 * minutes))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** The two halves that a thumb finds without a look; a press counts when the thumb comes down. */
export const Half = ({ words, under, press }: { words: string; under: string; press: () => void }) => (
  <button
    type="button"
    className="flex min-h-[30dvh] touch-manipulation flex-col items-center justify-center rounded-xl bg-act px-2 text-on-act select-none"
    onPointerDown={(event) => {
      if (event.button === 0) press()
    }}
    onClick={(event) => {
      if (event.detail === 0) press()
    }}
  >
    <span className="font-name text-4xl font-extrabold">{words}</span>
    <span className="text-lg leading-tight">{under}</span>
  </button>
)

/** The arrow keys up and down do what the two halves do. */
export const useGaitKeys = (press: (key: Press['key']) => void, isOn: boolean): void => {
  useEffect(() => {
    if (!isOn) return
    const hear = (event: KeyboardEvent): void => {
      const key = { ArrowUp: 'forward', ArrowDown: 'back' }[event.key] as 'forward' | 'back' | undefined
      if (!key || event.repeat || event.target instanceof HTMLSelectElement) return
      event.preventDefault()
      press(key)
    }
    window.addEventListener('keydown', hear)
    return () => window.removeEventListener('keydown', hear)
  }, [press, isOn])
}

import { useEffect, useState } from 'react'
import { count } from '@still-pine/core/answer'
import { useAppSelector } from '../../app/store'
import { useBeatNow } from './use-heart'
import type { Said } from './witness'

const EVERY_MS = 1_000

const heartWords = ({ recoverySeconds }: NonNullable<Said['heart']>): string =>
  recoverySeconds === null
    ? 'not back to rest after the last ask'
    : recoverySeconds === 0
      ? 'stayed near rest'
      : `back to rest after ${count(Math.round(recoverySeconds), 'second')}`

const pullWords = ({ overSeconds, limitNewtons, deadPull }: NonNullable<Said['pull']>): string =>
  overSeconds >= 0.3
    ? `the pull was over ${limitNewtons} N for ${overSeconds.toFixed(1)} s`
    : deadPull
      ? 'a dead pull: it lasted over 3 s'
      : ''

/** What the strap and the gauge say now and of the last ask: beside the marks, never instead of them. */
export const HeartLine = () => {
  const said = useAppSelector(({ pen }) => pen?.sensed ?? null)
  const [now, setNow] = useState(() => performance.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), EVERY_MS)
    return () => clearInterval(timer)
  }, [])
  const bpm = useBeatNow(now)
  const words = [
    bpm === null ? '' : `Heart ${Math.round(bpm)}`,
    said?.heart ? heartWords(said.heart) : '',
    said?.pull ? pullWords(said.pull) : '',
  ].filter(Boolean)
  if (words.length === 0) return null
  return (
    <p
      className="absolute inset-x-0 bottom-0 text-center text-xl leading-tight font-bold"
      data-testid="heart"
    >
      {words.join(' · ')}
    </p>
  )
}

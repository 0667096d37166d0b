import type { Settings } from '@still-pine/contract'
import type { Kind } from '@still-pine/core/answer'
import { memo, useState, type ReactNode } from 'react'
import { Button } from '../ui/button'
import type { Next } from './advice-bar'
import { useSecondsSince } from './use-clock'

const WORDS: Record<Kind, { start: string; end: string }> = {
  ask: { start: 'Ask', end: 'Answered' },
  accept: { start: 'Start', end: 'Settled' },
  hold: { start: 'Start', end: 'Done' },
}

interface ZoneProps {
  readonly press: () => void
  readonly disabled: boolean
  readonly children: ReactNode
}

/** The one big zone, where the thumb is. */
const Zone = ({ press, disabled, children }: ZoneProps) => (
  <button
    type="button"
    disabled={disabled}
    // A press counts when the thumb comes down, not when it leaves.
    onPointerDown={(event) => {
      if (event.button === 0 && !disabled) press()
    }}
    onClick={(event) => {
      // A click without a pointer comes from a keyboard or a reader.
      if (event.detail === 0) press()
    }}
    className="flex min-h-[clamp(7rem,calc((100dvh-31rem)*0.64),13.75rem)] w-full touch-manipulation flex-col items-center justify-center rounded-xl bg-act px-4 text-on-act select-none disabled:opacity-50 desk:min-h-52 low:min-h-20"
  >
    {children}
  </button>
)

/** From the moment it settled, counted as it goes by. */
const CountOfThree = () => {
  const [began] = useState(() => performance.now())
  const seconds = useSecondsSince(began) ?? 0
  return (
    <span className="text-xl font-bold">
      Step away and count three: {[1, 2, 3].slice(0, 1 + Math.floor(seconds)).join(', ')}
    </span>
  )
}

interface Props {
  readonly kind: Kind
  readonly isRunning: boolean
  readonly settings: Settings
  readonly press: () => void
  /** What comes after this burst, once it has what was planned. */
  readonly next?: Next | null
  /** The count of three after an answer, in which one press says that it was loose. */
  readonly calmIsOpen?: boolean
  readonly disabled?: boolean
}

/** Begins and ends an ask; when the burst has what was planned it says so and offers what comes next. */
export const MainButton = memo(
  ({ kind, isRunning, settings, press, next = null, calmIsOpen = false, disabled = false }: Props) => {
    if (next && !isRunning && !calmIsOpen)
      return (
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,2fr)] gap-2">
          <Button
            className="flex-col text-2xl leading-tight low:text-lg"
            hint="Space"
            disabled={disabled}
            onClick={press}
          >
            {WORDS[kind].start} again
          </Button>
          <Zone press={next.go} disabled={disabled}>
            <span className="text-xl leading-tight low:hidden">{next.why}</span>
            <span className="font-name text-[clamp(1.75rem,9vw,2.25rem)] leading-tight font-extrabold low:text-2xl">
              {next.words}
            </span>
            <span className="text-xl font-bold">{next.what}</span>
          </Zone>
        </div>
      )
    return (
      <Zone press={press} disabled={disabled}>
        <span className="font-name text-5xl leading-tight font-extrabold low:text-4xl">
          {calmIsOpen ? 'Loose' : isRunning ? WORDS[kind].end : WORDS[kind].start}
        </span>
        {calmIsOpen && kind === 'accept' && <CountOfThree />}
        <span className={`text-lg ${calmIsOpen ? 'phone:hidden' : ''}`}>
          <span className="phone:hidden low:hidden">Space</span>
          {settings.hasRemote && (
            <>
              <span className="phone:hidden"> · </span>forward on the remote ({settings.forwardKey})
            </>
          )}
        </span>
      </Zone>
    )
  },
)

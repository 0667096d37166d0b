import type { Settings } from '@still-pine/contract'
import type { Kind } from '@still-pine/core/answer'
import { memo } from 'react'

const WORDS: Record<Kind, { start: string; end: string }> = {
  ask: { start: 'Ask', end: 'Answered' },
  accept: { start: 'Start', end: 'Settled' },
  hold: { start: 'Start', end: 'Done' },
}

interface Props {
  readonly kind: Kind
  readonly isRunning: boolean
  readonly settings: Settings
  readonly press: () => void
  /** The count of three after an answer, in which one press says that it was loose. */
  readonly calmIsOpen?: boolean
  readonly disabled?: boolean
}

/** The one big button, where the thumb is. */
export const MainButton = memo(
  ({ kind, isRunning, settings, press, calmIsOpen = false, disabled = false }: Props) => (
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
      className="flex min-h-[220px] w-full touch-manipulation flex-col items-center justify-center rounded-xl bg-act px-4 text-on-act select-none disabled:opacity-50 desk:min-h-32"
    >
      <span className="font-name text-5xl font-extrabold">
        {calmIsOpen ? 'Loose' : isRunning ? WORDS[kind].end : WORDS[kind].start}
      </span>
      {calmIsOpen && kind === 'accept' && (
        <span className="text-xl font-bold">Step away and count three</span>
      )}
      <span className={`text-lg ${calmIsOpen ? 'phone:hidden' : ''}`}>
        <span className="phone:hidden">Space · </span>forward on the remote ({settings.forwardKey})
      </span>
    </button>
  ),
)

import type { Settings } from '@still-pine/contract'
import type { Kind } from '@still-pine/core/answer'

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
}

/** The one big button, where the thumb is. */
export const MainButton = ({ kind, isRunning, settings, press }: Props) => (
  <button
    type="button"
    // A press counts when the thumb comes down, not when it leaves.
    onPointerDown={(event) => {
      if (event.button === 0) press()
    }}
    onClick={(event) => {
      // A click without a pointer comes from a keyboard or a reader.
      if (event.detail === 0) press()
    }}
    className="flex min-h-[220px] w-full touch-manipulation flex-col items-center justify-center rounded-xl bg-act px-4 text-on-act select-none desk:min-h-32"
  >
    <span className="font-name text-5xl font-extrabold">
      {isRunning ? WORDS[kind].end : WORDS[kind].start}
    </span>
    <span className="text-lg">
      <span className="phone:hidden">Space · </span>forward on the remote ({settings.forwardKey})
    </span>
  </button>
)

import type { Burst, SessionPlan, Wishes } from '@still-pine/core/plan'
import { Popover } from 'radix-ui'
import { MoreHorizontal } from 'lucide-react'
import { Button } from '../../ui/button'
import { shorter, swapped, unpinned, withPin } from '../../shared/arrangement'

interface Props {
  readonly plan: SessionPlan
  readonly wishes: Wishes
  readonly at: number
  readonly burst: Burst
  readonly onWish: (wishes: Wishes) => void
}

const MOST_OTHERS = 5

/** What can be done with one burst: keep it here, make it shorter, put another in its place, leave it out. */
export const BurstMenu = ({ plan, wishes, at, burst, onWish }: Props) => {
  const others = plan.left.filter(({ mayBeIn }) => mayBeIn).slice(0, MOST_OTHERS)
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label={`Change ${burst.name}, burst ${at + 1}`}
          className="no-print flex min-h-11 min-w-11 shrink-0 items-center justify-center self-start"
        >
          <MoreHorizontal size={22} aria-hidden />
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          collisionPadding={{ top: 12, right: 12, bottom: 96, left: 12 }}
          className="z-20 flex max-h-[var(--radix-popover-content-available-height)] w-80 max-w-[92vw] flex-col overflow-y-auto gap-2 rounded-md border-2 border-ink bg-panel p-3"
        >
          <Popover.Close asChild>
            {burst.pinned ? (
              <Button onClick={() => onWish(unpinned(wishes, at))}>Let it go where it is best</Button>
            ) : (
              <Button onClick={() => onWish(withPin(plan.bursts, wishes, { at, asks: null }))}>
                Keep it in this place
              </Button>
            )}
          </Popover.Close>
          <Popover.Close asChild>
            <Button onClick={() => onWish(shorter(plan.bursts, wishes, at))}>Make it shorter</Button>
          </Popover.Close>
          <Popover.Close asChild>
            <Button onClick={() => onWish(swapped(plan.bursts, wishes, { at, other: null }))}>
              Leave it out today
            </Button>
          </Popover.Close>
          {others.length > 0 && <p className="pt-1 font-bold">Or in its place</p>}
          {others.map(({ step, name, words }) => (
            <Popover.Close asChild key={step}>
              <button
                type="button"
                className="min-h-11 border-t border-line py-1 text-left"
                onClick={() => onWish(swapped(plan.bursts, wishes, { at, other: step }))}
              >
                <b>{name}</b> <span className="text-quiet">{words}</span>
              </button>
            </Popover.Close>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

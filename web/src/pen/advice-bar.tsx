import { Button } from '../ui/button'
import { useWallClock } from './use-clock'
import { penAdvice, type PenActions, type PenView } from './use-pen'

/** What the record says about going on; never in the way. */
export const AdviceBar = ({
  view,
  actions,
  next,
}: {
  view: PenView
  actions: PenActions
  next: (() => void) | null
}) => {
  const now = useWallClock()
  const advice = penAdvice(view, now)
  return (
    <div aria-live="polite" className="flex min-h-16 flex-wrap items-center gap-x-4 gap-y-1">
      {advice ? (
        <>
          <div className="flex-1">
            <p className="font-name text-xl font-bold">{advice.headline}</p>
            <p className="text-lg">{advice.reason}</p>
          </div>
          {advice.kind === 'smaller' && view.pen.aim.rung > 1 && (
            <Button className="min-h-16" hint="↓" onClick={() => actions.moveRung(-1)}>
              A rung smaller
            </Button>
          )}
          {advice.kind !== 'smaller' && next && (
            <Button className="min-h-16" onClick={next}>
              Next burst
            </Button>
          )}
        </>
      ) : (
        <p className="text-lg text-quiet">
          {view.answers.length === 0 ? 'Nothing asked yet in this step today.' : 'Go on.'}
        </p>
      )}
    </div>
  )
}

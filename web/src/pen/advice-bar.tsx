import type { Line } from '@still-pine/contract'
import { WRONG_LESSON, type Advice } from '@still-pine/core/answer'
import type { ArrivalCheck } from '@still-pine/core/arrival'
import type { Program } from '@still-pine/core/program'
import { memo } from 'react'
import { Button } from '../ui/button'
import { useWallClock } from './use-clock'
import { feetAdvice, penAdvice, tracedAdvice } from './advice'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

/** What comes next, in the words of its button. */
export interface Next {
  readonly words: string
  /** The step it is about, and why it is time for it. */
  readonly what: string
  readonly why: string
  readonly go: () => void
}

/** Advice after which something else is done. */
const GOES_ON: readonly Advice['kind'][] = ['danger', 'time', 'leave', 'pattern']

interface Props {
  readonly view: PenView
  readonly line: Line
  readonly actions: PenActions
  readonly next: Next | null
  readonly program: Program
  /** The arrival check that is run, if one is. */
  readonly arrival: ArrivalCheck | null
}

const Words = ({ headline, text }: { headline: string; text: string }) => (
  <div className="flex-1">
    <p className="font-name text-xl leading-tight font-bold">{headline}</p>
    <p className="text-xl leading-tight low:line-clamp-2">{text}</p>
  </div>
)

const HEAT = {
  shorter: 'Warm: shorter than planned, shade and water between.',
  'walk-only': 'Hot: walk only.',
  'not-today': 'Too hot: nothing on the line, under tack or under a person.',
} as const

const isFrightened = ({ pen, step }: PenView): boolean =>
  step.kind === 'accept' && pen.running !== null && pen.running.worst !== 'nothing'

/** The last accept was taken away while the feet moved: said until the next begins. */
const isWronglyEnded = ({ pen, answers }: PenView): boolean =>
  pen.running === null && answers.at(-1)?.ending === 'left-moving'

/** Below the first rung there is nothing smaller to ask. */
const reasonAt = (advice: Advice, rung: number): string =>
  advice.kind === 'smaller' && rung === 1
    ? 'This is the smallest rung: leave it, and do something it knows.'
    : advice.reason

/** What the record says about going on, or the fright rule at its moment; never in the way. */
export const AdviceBar = memo(({ view, line, actions, next, program, arrival }: Props) => {
  const now = useWallClock()
  const traced = tracedAdvice(view, line, program)
  const ofBurst = feetAdvice(view, line) ?? penAdvice(view, now)
  const advice = ofBurst?.kind === 'danger' ? ofBurst : (traced ?? ofBurst)
  const hot = line.facts.heat && line.facts.heat !== 'go-on' ? HEAT[line.facts.heat] : null
  const strange = line.notices.find(({ about }) => about === 'itself')
  return (
    <div
      aria-live="polite"
      className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 desk:min-h-16 low:min-h-0"
    >
      {isFrightened(view) ? (
        <Words headline={`It ${view.pen.running!.worst}`} text={program.manner.fright.words} />
      ) : isWronglyEnded(view) ? (
        <Words headline="It was still moving" text={WRONG_LESSON} />
      ) : arrival && advice?.kind !== 'danger' ? (
        <Words
          headline={arrival.next ? 'First ask' : 'That is all'}
          text={arrival.next?.reason ?? `${arrival.end} Result shows what it opens.`}
        />
      ) : advice ? (
        <>
          <Words headline={advice.headline} text={reasonAt(advice, view.pen.aim.rung)} />
          {advice.kind === 'smaller' && view.pen.aim.rung > 1 && (
            <Button className="min-h-16" hint="↓" onClick={() => actions.moveRung(-1)}>
              A rung smaller
            </Button>
          )}
          {advice.kind === 'other-side' && (
            <Button className="min-h-16" hint="S" onClick={actions.switchSide}>
              Other side
            </Button>
          )}
          {GOES_ON.includes(advice.kind) && next && (
            <Button className="min-h-16" onClick={next.go}>
              {next.words}
            </Button>
          )}
        </>
      ) : hot && view.answers.length === 0 ? (
        <Words headline="Heat" text={hot} />
      ) : strange ? (
        <Words headline="Not itself today" text={strange.words.replace('Not itself today: ', '')} />
      ) : (
        <p className="text-xl text-quiet phone:sr-only low:sr-only">
          {view.answers.length === 0 ? 'Nothing asked yet in this step today.' : 'Go on.'}
        </p>
      )}
    </div>
  )
})

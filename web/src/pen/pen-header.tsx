import type { Line } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { memo } from 'react'
import { Link } from 'react-router'
import { useAppSelector } from '../app/store'
import { syncWords } from '../offline/sync-slice'
import { Button } from '../ui/button'
import type { Next } from './advice-bar'
import { DoneLink } from './done-link'
import { StepPicker } from './step-picker'
import { ARRIVAL } from './use-arrival-guide'
import { useWallClock } from './use-clock'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** "check 1 of 3" or "2 of 7", and how many of the asks meant for this side are done. */
const burstWords = ({ pen, answers }: PenView): string => {
  const { burst, side } = pen.aim
  if (pen.gate === ARRIVAL) return `arrival check · ${count(pen.answers.length, 'ask')}`
  if (burst === null) return 'own choice'
  const meant = pen.bursts[burst]?.sides.find((part) => part.side === side)?.asks
  const done = answers.filter((answer) => answer.side === side).length
  const asks =
    meant === undefined
      ? ''
      : done > meant
        ? ` · ${done} asks, ${meant} planned`
        : ` · ask ${done} of ${meant}`
  return `${pen.gate === null ? '' : 'check '}${burst + 1} of ${pen.bursts.length}${asks}`
}

const BurstLine = ({ view }: { view: PenView }) => {
  const now = useWallClock()
  const sync = useAppSelector((state) => state.sync)
  const ran = Math.max(0, (now - view.pen.burstStartedAt) / 1000)
  return (
    <p className="text-lg text-quiet">
      {burstWords(view)} · {minutes(ran)}
      <span className="phone:hidden"> of 2:00</span>
      <span className="phone:hidden"> · {syncWords(sync, now)}</span>
      {sync.hasUpdate && (
        <span className="phone:hidden"> · new version: reload when you are out of the pen</span>
      )}
    </p>
  )
}

/** A link is expensive to draw, and no press changes this one. */
const HorseLink = memo(({ horseId, name }: { horseId: string; name: string }) => (
  <Link to={`/horses/${horseId}`}>{name}</Link>
))

interface Props {
  readonly line: Line
  readonly program: Program
  readonly view: PenView
  readonly actions: PenActions
  readonly next: Next | null
  readonly isDesk: boolean
  readonly danger: () => void
}

/** Whose pen it is, what is asked, and the way out. */
export const PenHeader = memo(({ line, program, view, actions, next, isDesk, danger }: Props) => {
  const previous = (view.pen.aim.burst ?? 0) - 1
  return (
    <header className="flex items-start justify-between gap-3 border-b-2 border-ink px-3 py-2 desk:px-6">
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-2xl">
            <HorseLink horseId={line.horse.id} name={line.horse.name} />
          </h1>
          <BurstLine view={view} />
        </div>
        <p className="flex flex-wrap items-center gap-x-3 text-xl">
          <StepPicker line={line} stepKey={view.step.key} program={program} onPick={actions.goToStep} />
          <span className="font-bold">
            {view.pen.aim.rung}: {view.rungWords}
          </span>
        </p>
      </div>
      <div className="flex shrink-0 items-center gap-2">
        {isDesk && (
          <div className="flex gap-2">
            <Button disabled={previous < 0} onClick={() => actions.goToBurst(previous)}>
              Burst before
            </Button>
            <Button disabled={next === null} onClick={() => next?.go()}>
              {next?.words ?? 'Next burst'}
            </Button>
            <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
          </div>
        )}
        <Button look="danger" className="min-h-16" onClick={danger}>
          Danger
        </Button>
      </div>
    </header>
  )
})

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
    <p className="truncate text-lg text-quiet phone:pointer-events-none phone:-mt-8 low:pointer-events-none low:-mt-8">
      {burstWords(view)} · {minutes(ran)}
      <span className="phone:hidden"> of 2:00</span>
      <span className="phone:hidden"> · {syncWords(sync, now)}</span>
      {sync.update !== 'none' && (
        <span className="phone:hidden"> · new version: reload when you are out of the pen</span>
      )}
    </p>
  )
}

/** A link is expensive to draw, and no press changes this one. In gloves the line under it belongs to it. */
const HorseLink = memo(({ horseId, name }: { horseId: string; name: string }) => (
  <Link className="block truncate phone:min-h-16 low:min-h-16" to={`/horses/${horseId}`} title={name}>
    {name}
  </Link>
))

interface Props {
  readonly line: Line
  readonly program: Program
  readonly view: PenView
  readonly actions: PenActions
  readonly next: Next | null
  readonly isDesk: boolean
  readonly how: () => void
  readonly danger: () => void
}

/** Whose pen it is, what is asked, and the way out. */
export const PenHeader = memo(({ line, program, view, actions, next, isDesk, how, danger }: Props) => {
  const previous = (view.pen.aim.burst ?? 0) - 1
  return (
    <header className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-1 border-b-2 border-ink px-3 py-2 low:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_auto] desk:px-6">
      <div className="col-start-1 row-start-1 min-w-0">
        <h1 className="truncate text-2xl">
          <HorseLink horseId={line.horse.id} name={line.horse.name} />
        </h1>
        <BurstLine view={view} />
      </div>
      <p className="flex min-w-0 items-center gap-x-3 text-xl leading-tight col-start-1 row-start-2 phone:col-span-2 low:col-span-1 low:col-start-2 low:row-start-1">
        <StepPicker line={line} stepKey={view.step.key} program={program} onPick={actions.goToStep} />
        <span className="line-clamp-3 min-w-0 low:line-clamp-2 font-bold">
          {view.pen.aim.rung}: {view.rungWords}
        </span>
      </p>
      <div className="col-start-2 row-start-1 flex items-center gap-2 desk:row-span-2 low:col-start-3 low:row-span-1">
        {isDesk && (
          <div className="flex gap-2">
            <Button onClick={how}>How</Button>
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

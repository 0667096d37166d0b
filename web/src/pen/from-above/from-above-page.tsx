import type { Line } from '@still-pine/contract'
import type { PlaceByHorse, Side } from '@still-pine/core/answer'
import { handOn, thingsOf, type Spot, type Thing, type Zone } from '@still-pine/core/coverage'
import { onLadders, stepOf, type Program } from '@still-pine/core/program'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useQuery } from '../../app/client'
import { useAppDispatch } from '../../app/store'
import { AnimalFromAbove } from '../../drawing/plan-view/animal-from-above'
import { aimed, stoodAt } from '../pen-slice'
import { aimOfStep, useOpenPen, usePenView, type PenView } from '../use-pen'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { Sheet } from '../../ui/sheet'
import { useIsDesk } from '../../ui/use-is-desk'
import { HorseHeader } from '../../shared/horse-header'
import { useHorse } from '../../shared/use-horse'
import { CoverageTable } from './coverage-table'
import { LogSpot } from './log-spot'
import { planViewOf } from './shown'

type HalfSide = Extract<Side, 'left' | 'right'>

/** The steps of a thing that are on this horse's path. */
const stepsOf = (thing: Thing, program: Program) =>
  thing.steps.flatMap((key) => {
    const step = stepOf(program, key)
    return step ? [step] : []
  })

/** What was tapped here today and may not have reached the server yet stands behind what the server knows. */
const withToday = (spots: readonly Spot[], { pen }: PenView): readonly Spot[] => [
  ...spots,
  ...pen.answers
    .filter(({ place, zone, uncued }) => (place !== null || zone !== null) && !uncued)
    .map((answer) => ({ ...answer, day: pen.day })),
]

interface Props {
  readonly line: Line
  readonly program: Program
  readonly view: PenView
  readonly spots: readonly Spot[]
  readonly personId: string
}

const FromAbove = ({ line, program, view, spots, personId }: Props) => {
  const dispatch = useAppDispatch()
  const [isLogging, setLogging] = useState(false)
  const isDesk = useIsDesk()
  const { aim, stand } = view.pen
  const things = thingsOf(program)
  const thing = things.find(({ steps }) => steps.includes(aim.step)) ?? things[0]!
  const all = useMemo(() => withToday(spots, view), [spots, view])
  const plan = planViewOf(all, thing, { program, on: line.day })
  const closed = line.plan.closed.find(({ step }) => step === aim.step)

  const aimAt = (step: string, change: { side?: HalfSide; rung?: number }): void => {
    const opened = step === aim.step ? aim : aimOfStep(line, [], step)
    if (!opened) return
    const sided = stepOf(program, step)!.sided
    const side = sided ? (change.side ?? (opened.side === 'none' ? 'left' : opened.side)) : 'none'
    dispatch(
      aimed({ aim: { ...opened, side, rung: change.rung ?? opened.rung, burst: null }, now: Date.now() }),
    )
    if (step !== aim.step) dispatch(stoodAt({ ...stand, moving: false }))
  }
  const onZone = (zone: Zone, side: HalfSide): void => {
    const hand = handOn(program, zone)
    if (thing.key === 'hand' && hand && stepOf(program, hand.step))
      aimAt(hand.step, { side, rung: hand.rung })
    else aimAt(aim.step, { side })
    dispatch(stoodAt({ ...stand, zone }))
    // On a phone the drawing fills the screen, and what it did is asked over it.
    setLogging(!isDesk)
  }
  const onPlace = (place: PlaceByHorse, side: HalfSide): void => {
    aimAt(aim.step, { side })
    dispatch(stoodAt({ ...stand, place }))
  }
  const thingRow = (
    <div
      role="group"
      aria-label="What is brought to it"
      className="no-print flex gap-2 overflow-x-auto desk:flex-wrap"
    >
      {things
        .filter((one) => stepsOf(one, program).length > 0)
        .map((one) => (
          <Button
            key={one.key}
            className={`shrink-0 ${one.key === thing.key ? 'bg-ink! text-ground!' : ''}`}
            aria-pressed={one.key === thing.key}
            onClick={() => aimAt(stepsOf(one, program)[0]!.key, {})}
          >
            {one.words}
          </Button>
        ))}
    </div>
  )
  return (
    <main className="flex flex-col gap-2 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      {!isDesk && thingRow}
      <div className="grid gap-6 desk:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
        <div>
          <AnimalFromAbove
            zones={plan.zones}
            places={plan.places}
            chosen={{ side: aim.side, zone: stand.zone, place: stand.place }}
            onZone={onZone}
            onPlace={onPlace}
          />
          <p className="text-quiet">
            The number is the rung it holds to; × does not hold; empty was never touched. Paler is older: 21
            calendar days, 60 calendar days. The posts at the edge are where you stand.
          </p>
        </div>
        <div className="flex flex-col gap-4">
          {isDesk && thingRow}
          <p className="text-lg" role="status">
            {plan.sentence}
          </p>
          {closed ? (
            <p className="border-t-4 border-ink bg-panel p-3 text-lg">
              <b>{view.step.name}</b> is not open yet: {closed.words}
            </p>
          ) : (
            isDesk && <LogSpot view={view} personId={personId} />
          )}
          {thing.key !== 'hand' && <CoverageTable step={view.step} spots={all} on={line.day} />}
        </div>
      </div>
      <Sheet open={isLogging && !closed} title="What did it do?" onClose={() => setLogging(false)}>
        <LogSpot view={view} personId={personId} />
      </Sheet>
    </main>
  )
}

/** The horse from above: where touch, rope and flag hold and from where, and what was forgotten. */
const FromAbovePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const [search] = useSearchParams()
  const { data: me } = useQuery('me')
  const { data: spots, error: noSpots, refetch } = useQuery('spots', { horseId })
  // The hand comes first, as it does with every horse.
  const first = program && thingsOf(program)[0]!.steps[0]
  useOpenPen(line, program, {
    wanted: { step: search.get('step') ?? first ?? null, gate: null },
    personId: me?.person.id,
  })
  const view = usePenView(program, 0)
  const failed = error ?? (spots ? undefined : noSpots)
  if (!line || !program || !me || !spots || !view || view.pen.horseId !== horseId)
    return <Loading error={failed} retry={() => (error ? retry() : void refetch())} />
  return (
    <FromAbove
      line={line}
      program={program}
      view={view}
      spots={onLadders(program, spots.spots)}
      personId={me.person.id}
    />
  )
}

export default FromAbovePage

import type { SavedAnswer, Line } from '@still-pine/contract'
import { count, PLACE_WORDS, chancePercent } from '@still-pine/core/answer'
import { rungName, stepOf, type Program, type Step } from '@still-pine/core/program'
import {
  ago,
  knownFrom,
  missingInWords,
  sideGap,
  TEMPER_WORDS,
  upperFirst,
  type TrackView,
} from '@still-pine/core/readiness'
import { traceRidden, traceWords } from '@still-pine/core/ride'
import { Link, useParams } from 'react-router'
import { useQuery } from '../app/client'
import { Marks, MARKS_KEY, type Mark } from '../drawing/marks'
import { Loading } from '../shared/loading'
import { LawNotes } from '../shared/law-notes'
import { lawsOf } from '../shared/law-words'
import { viewsIn } from '../shared/views-in'
import { longDay, STATE_WORDS } from '../shared/words'
import { Fold } from '../ui/fold'
import { useIsDesk } from '../ui/use-is-desk'
import { Repairs } from './evidence/repairs'
import { StepEvidence } from './evidence/step-evidence'
import { Witnesses } from './evidence/witnesses'
import { Card } from './step-card'
import { StepPlace } from './step-place'
import { useHorse } from '../shared/use-horse'

const MARKS_SHOWN = 20

/** Oldest first, with the first of each day marked; answers that were taken back are left out. */
const marksOf = (answers: readonly SavedAnswer[], side: string): readonly Mark[] => {
  const standing = answers
    .filter((answer) => !answer.voided && !answer.uncued && answer.side === side)
    .reverse()
  return standing
    .map((answer, i) => ({
      id: answer.id,
      side: answer.side,
      grade: answer.grade,
      calm: answer.calm,
      cold: standing[i - 1]?.day !== answer.day,
      half: answer.byChance || answer.recalled,
    }))
    .slice(-MARKS_SHOWN)
}

const asksWords = (view: TrackView): string => {
  if (view.state === 'solid') return 'Solid today.'
  if (view.asksNeeded === null) return 'Not today: five light, loose asks would not be enough.'
  return view.asksNeeded === 0
    ? 'Only places or movement are missing.'
    : `${count(view.asksNeeded, 'light, loose ask')} today would make it Solid.`
}

const Facts = ({ view, step, day }: { view: TrackView; step: Step; day: string }) => {
  const facts: readonly (readonly [string, string])[] = [
    [
      'Chance of a light first answer',
      `${chancePercent(view.chance)} (${chancePercent(view.low)} to ${chancePercent(view.high)})`,
    ],
    ['Chance that it is not tight', chancePercent(view.calmChance)],
    [
      'Holds to',
      view.holdsToRung === 0
        ? 'no rung yet'
        : `rung ${view.holdsToRung}, ${rungName(step, view.holdsToRung)}`,
    ],
    ['Opens at', `rung ${view.openAt}, ${rungName(step, view.openAt)}`],
    [
      'Last first ask of a day',
      view.lastCold
        ? `${view.lastCold.passed ? 'passed' : 'not passed'}, ${ago(view.lastCold.day, day)}`
        : 'none at the required rung',
    ],
    ['Known from', `${count(view.answers, 'answer')} on ${count(view.daysWorked, 'work day')}`],
    ['Last asked', view.lastDay ? ago(view.lastDay, day) : 'never'],
  ]
  return (
    <dl className="grid grid-cols-[minmax(9rem,auto)_1fr] gap-x-4 gap-y-1">
      {facts.map(([name, words]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd className="font-bold">{words}</dd>
        </div>
      ))}
    </dl>
  )
}

interface TrackProps {
  readonly line: Line
  readonly program: Program
  readonly track: Line['tracks'][number]
  readonly step: Step
  readonly answers: readonly SavedAnswer[]
}

/** Why a ridden step goes badly, and what to do. */
const Trace = ({ line, program, step, track: { side, view } }: Omit<TrackProps, 'answers'>) => {
  const traced = traceRidden(program, viewsIn(line), { step, side, asks: view.recent, on: line.day })
  const words = traced && traceWords(traced)
  return words && <p className="border-l-8 border-stop px-3 text-lg">{words}</p>
}

const Track = ({ line, program, track, step, answers }: TrackProps) => {
  const { side, view } = track
  const { day } = line
  return (
    <section className="flex min-w-0 flex-col gap-2 border-t-4 border-ink bg-panel px-4 pt-3">
      <h2 className="text-2xl">
        {side === 'none'
          ? STATE_WORDS[view.state]
          : `${side === 'left' ? 'Left' : 'Right'}: ${STATE_WORDS[view.state]}`}
      </h2>
      <p className="text-lg">
        {knownFrom(view, day)}. {view.temper && `${upperFirst(TEMPER_WORDS[view.temper])}.`}
      </p>
      <Trace line={line} program={program} step={step} track={track} />
      <Marks marks={marksOf(answers, side)} kind={step.kind} spacing={24} />
      {view.answers > 0 && view.misses.length > 0 && <p>{missingInWords(view)}</p>}
      {view.placesMissing.length > 0 && view.answers > 0 && (
        <p>Not proved from: {view.placesMissing.map((place) => PLACE_WORDS[place]).join('; ')}.</p>
      )}
      <p className="font-bold">{asksWords(view)}</p>
      <Fold title="The figures">
        <Facts view={view} step={step} day={day} />
      </Fold>
    </section>
  )
}

const gapWords = (tracks: Line['tracks']): string | null => {
  const gap = sideGap(tracks)
  if (gap === null) return null
  if (gap.kind === 'not-asked')
    return `${gap.sides.join(' and ')} side not asked enough in the last ten work days.`
  const points = Math.round(Math.abs(gap.value) * 100)
  if (points === 0) return 'Both sides are even.'
  return `The ${gap.value > 0 ? 'right' : 'left'} is ${count(points, 'point')} behind${gap.flagged ? ': work it first' : ''}.`
}

/** What is known of one step, from what, and how old it is. */
const EvidencePage = () => {
  const { stepKey = '' } = useParams()
  const isDesk = useIsDesk()
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useQuery('stepAnswers', { horseId, step: stepKey })
  if (!line || !program) return <Loading error={error} retry={retry} />
  const step = stepOf(program, stepKey)
  if (!step)
    return <Loading error={{ data: { title: `“${stepKey}” is not a step of this horse’s program.` } }} />
  const tracks = line.tracks.filter((track) => track.step === step.key)
  const gap = gapWords(tracks)
  // Each session's once: the first answer of it tells for all.
  const against = (data?.answers ?? []).filter(
    (answer, i, all) =>
      answer.against !== null &&
      !answer.voided &&
      all.findIndex((one) => one.sessionId === answer.sessionId && one.against !== null) === i,
  )
  const isOpen = !line.plan.closed.some((closed) => closed.step === step.key)
  return (
    <main className="flex flex-col gap-4 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">
          <Link to={`/horses/${horseId}`} className="underline decoration-2 underline-offset-4">
            {line.horse.name}
          </Link>
          : {step.name}
        </h1>
        <Link
          className="no-print inline-flex min-h-11 items-center underline"
          to={`/horses/${horseId}/steps/${step.key}/card`}
        >
          Its card, for the rail
        </Link>
        {isOpen && (
          <Link
            className="no-print inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
            to={`/pen/${horseId}?step=${step.key}`}
          >
            Ask it in the pen
          </Link>
        )}
      </div>
      <LawNotes horseId={horseId} about={lawsOf(step)} />
      {gap && <p className="text-lg">{gap}</p>}
      <div className={`grid gap-4 ${tracks.length > 1 ? 'desk:grid-cols-2' : ''}`}>
        {tracks.map((track) => (
          <Track
            key={track.side}
            line={line}
            program={program}
            track={track}
            step={step}
            answers={data?.answers ?? []}
          />
        ))}
      </div>
      <p className="text-quiet">
        {MARKS_KEY} A line under a mark: the first ask of its day. Pale: half weight.
      </p>
      {against.length > 0 && (
        <ul className="border-l-4 border-stop bg-panel px-4 py-2" aria-label="Asked against the permit">
          {against.map(({ id, day, against: words, why }) => (
            <li key={id}>
              {longDay(day)}: asked though it was not to be. {words}
              {why ? ` Said of it: ${why}.` : ' Nobody has said why yet.'}
            </li>
          ))}
        </ul>
      )}
      <StepEvidence line={line} program={program} step={step} />
      <Witnesses horseId={horseId} step={step} answers={data?.answers ?? []} />
      <div>
        <Repairs horseId={horseId} step={step} program={program} today={line.day} />
        <Fold title="How it is asked" isOpen={isDesk}>
          <Card step={step} program={program} />
        </Fold>
        <Fold title="Its rungs, what it needs and what it prepares" isOpen={isDesk}>
          <StepPlace line={line} program={program} step={step} />
        </Fold>
      </div>
    </main>
  )
}

export default EvidencePage

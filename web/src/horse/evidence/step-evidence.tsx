import type { Line, StepEvidence as Evidence } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import {
  CIRCUMSTANCES,
  isSo,
  notedInAny,
  valueWords,
  type Circumstance,
} from '@still-pine/core/circumstances'
import { gapOver, seenIn } from '@still-pine/core/evidence'
import { cardFor, onLadders, sidesOf, type Program, type Step } from '@still-pine/core/program'
import { ago, needOf } from '@still-pine/core/readiness'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { Picker } from '../../shared/pickers'
import { useQuery } from '../../app/client'
import { Differences } from '../../circumstances/differences'
import { Chart, library } from '../../drawing/chart'
import { Loading } from '../../shared/loading'
import { Fold } from '../../ui/fold'
import { chanceOption } from './chance-option'
import { feelOption } from './feel-option'
import { gapOption } from './gap-option'
import { drawnOf, lightnessOption, type Drawn } from './lightness-option'
import {
  chanceInWords,
  endingsInWords,
  feelInWords,
  gapInWords,
  lightnessInWords,
  settleInWords,
} from './sentences'

interface Props {
  readonly line: Line
  readonly program: Program
  readonly step: Step
}

const Lightness = ({
  step,
  sides,
}: {
  step: Step
  sides: readonly { side: Drawn['side']; answers: readonly Drawn[] }[]
}) => {
  const option = useCallback(() => lightnessOption(step, sides), [step, sides])
  return (
    <Chart
      label={`Lightness of ${step.name}, answer by answer`}
      sentence={lightnessInWords(sides)}
      option={option}
    />
  )
}

interface TimelineProps {
  readonly step: Step
  readonly timelines: Evidence['sides']
  readonly on: string
}

const Chances = ({ step, timelines, on }: TimelineProps) => {
  const need = needOf(STANDARD_MODEL, step).chance
  const option = useCallback(() => chanceOption(timelines, need, on), [timelines, need, on])
  return (
    <Chart
      label={`Chance of a light first ask of ${step.name} over the days`}
      sentence={chanceInWords(timelines, on)}
      option={option}
    />
  )
}

/** Left against right over the days; nothing for a step without sides, or before both were asked. */
const Gap = ({ step, timelines, on }: TimelineProps) => {
  const gaps = useMemo(() => {
    const of = (side: string) => timelines.find((one) => one.side === side)?.moments ?? []
    return gapOver(of('left'), of('right'), on)
  }, [timelines, on])
  const option = useCallback(() => gapOption(gaps), [gaps])
  if (gaps.length === 0) return null
  return (
    <Chart
      label={`Left against right of ${step.name} over the days`}
      sentence={gapInWords(gaps)}
      option={option}
      height={200}
    />
  )
}

const Feel = ({ step, answers }: { step: Step; answers: readonly Drawn[] }) => {
  const felt = useMemo(
    () =>
      answers.filter(({ peakNewtons, releaseSeconds }) => peakNewtons !== null || releaseSeconds !== null),
    [answers],
  )
  const option = useCallback(() => feelOption(felt), [felt])
  if (felt.length === 0) return null
  return (
    <Chart
      label={`Pull and release of ${step.name}, answer by answer`}
      sentence={feelInWords(felt)}
      option={option}
      height={200}
    />
  )
}

const Faults = ({ step, answers, on }: { step: Step; answers: readonly Drawn[]; on: string }) => {
  const faults = seenIn(answers, ({ fault }) => fault)
  if (faults.length === 0) return null
  const repairs = new Map(cardFor(step.key).faults.map(({ fault, repair }) => [fault, repair]))
  return (
    <Fold title={`What went wrong: ${count(faults.length, 'fault')} seen`}>
      <ul className="flex flex-col gap-1">
        {faults.map(({ what, times, lastDay }) => (
          <li key={what}>
            <b>{what}</b> {count(times, 'time')}, last {ago(lastDay, on)}.
            {repairs.has(what) && ` Repair: ${repairs.get(what)!}`}
          </li>
        ))}
      </ul>
    </Fold>
  )
}

const keyOf = ({ kind, value }: Circumstance): string => `${kind} ${value}`

const circumstanceWords = ({ kind, value }: Circumstance): string =>
  `${kind === 'kit' ? 'Kit' : CIRCUMSTANCES[kind].name}: ${valueWords(kind, value)}`

interface OnlyProps {
  readonly noted: readonly Circumstance[]
  readonly chosen: string
  readonly choose: (key: string) => void
}

/** Only the answers of sessions of which something was noted; the chances are always of all. */
const OnlyWhen = ({ noted, chosen, choose }: OnlyProps) =>
  noted.length === 0 ? null : (
    <div className="no-print self-start">
      <Picker label="Only answers given when" value={chosen} onPick={choose}>
        <option value="">all answers</option>
        {noted.map((one) => (
          <option key={keyOf(one)} value={keyOf(one)}>
            {circumstanceWords(one)}
          </option>
        ))}
      </Picker>
    </div>
  )

/** A step read over its whole history: how light, how sure over the days, what went wrong, how it ended. */
export const StepEvidence = ({ line, program, step }: Props) => {
  const { data, error, refetch } = useQuery('stepEvidence', { horseId: line.horse.id, step: step.key })
  const [only, setOnly] = useState('')
  // It is got ready while the answers are on their way.
  useEffect(() => void library(), [])
  const own = useMemo(
    () =>
      onLadders(
        program,
        (data?.answers ?? []).map((answer) => ({ ...answer, step: step.key })),
      ),
    [data, program, step],
  )
  const noted = useMemo(
    () => notedInAny((data?.sessions ?? []).map(({ circumstances }) => circumstances)),
    [data],
  )
  const sides = useMemo(() => {
    const wanted = noted.find((one) => keyOf(one) === only)
    const fitting = new Set(
      (data?.sessions ?? [])
        .filter(({ circumstances }) => !wanted || isSo(circumstances, wanted))
        .map(({ id }) => id),
    )
    return sidesOf(step).map((side) => ({
      side,
      answers: drawnOf(own, side).filter(({ sessionId }) => !wanted || fitting.has(sessionId)),
    }))
  }, [data, own, noted, only, step])
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  if (own.length === 0) return null
  const drawn = sides.flatMap(({ answers }) => answers)
  const facts = [
    step.kind === 'accept' ? settleInWords(drawn) : '',
    ...endingsInWords(drawn, line.day),
  ].filter(Boolean)
  return (
    <>
      <div className="grid gap-4 desk:grid-cols-2">
        <Lightness step={step} sides={sides} />
        <Chances step={step} timelines={data.sides} on={line.day} />
        <Feel step={step} answers={drawn} />
        <Gap step={step} timelines={data.sides} on={line.day} />
      </div>
      <p className="text-quiet">
        {step.sided && 'Left is the whole line, right the broken one. '}Circle loose, triangle watchful,
        square tight; a big one is the first of its day.
      </p>
      {facts.length > 0 && (
        <ul>
          {facts.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <div>
        <Faults step={step} answers={drawn} on={line.day} />
        <Fold title="When it was otherwise">
          <div className="flex flex-col gap-4">
            <OnlyWhen noted={noted} chosen={only} choose={setOnly} />
            <Differences groups={data.circumstances} />
          </div>
        </Fold>
      </div>
    </>
  )
}

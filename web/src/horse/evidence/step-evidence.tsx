import type { Line } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { seenIn } from '@still-pine/core/evidence'
import { cardFor, sidesOf, type Program, type Step } from '@still-pine/core/program'
import { ago, needOf } from '@still-pine/core/readiness'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { useEvidenceQuery } from '../../app/api'
import { Chart } from '../../drawing/chart'
import { evidenceReader } from '../../threads/evidence'
import type { SideTimeline } from '../../threads/evidence.worker'
import { Loading } from '../../ui/loading'
import { chanceOption } from './chance-option'
import { drawnOf, lightnessOption, type Drawn } from './lightness-option'
import { chanceInWords, endingsInWords, feelInWords, lightnessInWords, settleInWords } from './sentences'

/** The step and all that carries over to it, also by way of others. */
const withSources = (program: Program, key: string): readonly string[] => {
  const keys = new Set([key])
  for (const one of keys) for (const { from, to } of program.carryOver) if (to === one) keys.add(from)
  return [...keys]
}

const useTimelines = (
  program: Program,
  step: string,
  data:
    | {
        readonly day: string
        readonly answers: Parameters<ReturnType<typeof evidenceReader>['timelines']>[1]
      }
    | undefined,
): readonly SideTimeline[] | null => {
  const [read, setRead] = useState<{ of: unknown; timelines: readonly SideTimeline[] } | null>(null)
  useEffect(() => {
    if (!data) return
    let isWanted = true
    void evidenceReader()
      .timelines(program, data.answers, step, data.day)
      .then((timelines) => isWanted && setRead({ of: data, timelines }))
    return () => void (isWanted = false)
  }, [program, data, step])
  return read && read.of === data ? read.timelines : null
}

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

const Chances = ({ step, timelines, on }: { step: Step; timelines: readonly SideTimeline[]; on: string }) => {
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

const Faults = ({ step, answers, on }: { step: Step; answers: readonly Drawn[]; on: string }) => {
  const faults = seenIn(answers, ({ fault }) => fault)
  if (faults.length === 0) return null
  const repairs = new Map(cardFor(step.key).faults.map(({ fault, repair }) => [fault, repair]))
  return (
    <section>
      <h2 className="mb-1 text-xl">What went wrong</h2>
      <ul className="flex flex-col gap-1">
        {faults.map(({ what, times, lastDay }) => (
          <li key={what}>
            <b>{what}</b> {count(times, 'time')}, last {ago(lastDay, on)}.
            {repairs.has(what) && ` Repair: ${repairs.get(what)!}`}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** A step read over its whole history: how light, how sure over the days, what went wrong, how it ended. */
export const StepEvidence = ({ line, program, step }: Props) => {
  const steps = useMemo(() => withSources(program, step.key), [program, step])
  const { data, error, refetch } = useEvidenceQuery({ horseId: line.horse.id, steps })
  const timelines = useTimelines(program, step.key, data)
  const sides = useMemo(() => {
    const own = (data?.answers ?? []).filter((answer) => answer.step === step.key)
    return sidesOf(step).map((side) => ({ side, answers: drawnOf(own, side) }))
  }, [data, step])
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  const own = sides.flatMap(({ answers }) => answers)
  if (own.length === 0) return null
  const facts = [
    step.kind === 'accept' ? settleInWords(own) : '',
    feelInWords(own),
    ...endingsInWords(own, line.day),
  ].filter(Boolean)
  return (
    <>
      <div className="grid gap-4 desk:grid-cols-2">
        <Lightness step={step} sides={sides} />
        {timelines && <Chances step={step} timelines={timelines} on={line.day} />}
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
      <Faults step={step} answers={own} on={line.day} />
    </>
  )
}

import type { Line } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { count } from '@still-pine/core/answer'
import {
  byWords,
  differenceWords,
  forecastWords,
  type Forecast,
  type WorkPlan,
} from '@still-pine/core/forecast'
import { gatesAhead } from '@still-pine/core/plan'
import { stepOf, type Program } from '@still-pine/core/program'
import { addDays } from '@still-pine/core/answer'
import { useCallback, useEffect, useEffectEvent, useState } from 'react'
import { useQuery } from '../../app/client'
import { Chart } from '../../drawing/chart'
import { useEntries } from '../../shared/use-entries'
import { viewsIn } from '../../shared/views-in'
import { sideAfter, withDays } from '../../shared/words'
import { Button } from '../../ui/button'
import { Notice } from '../../ui/field'
import { ChoiceField, TextField, Tick } from '../../ui/inputs'
import { fanOption } from './fan-option'
import { forecastEntry } from './kept'
import { useForecast, type Forecasting, type Question, type WhatIf } from './use-forecast'

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
const ORDINARY: WorkPlan = { weekdays: [1, 3, 5], minutes: 25, helperWeekdays: null, off: [] }
const TWO_WEEKS = 13
const SATURDAY = 6
const LITTLE_KNOWN_DAYS = 5
const WORTH_TELLING = 0.04

const WHAT_IT_IS = {
  talent: 'how able it starts a step',
  calmTalent: 'how loose it starts',
  logSpeed: 'how fast it learns',
  stiffness: 'how one-sided it is',
} as const

/** What may be asked of a plan besides: four at the most. */
const whatIfsOf = (plan: WorkPlan, from: string): readonly WhatIf[] => {
  const free = [1, 2, 3, 4, 5, 6, 7].find((day) => !plan.weekdays.includes(day))
  return [
    ...(free === undefined
      ? []
      : [
          {
            id: 'day',
            words: 'One more day a week',
            plan: { weekdays: [...plan.weekdays, free].toSorted((a, b) => a - b) },
          },
        ]),
    {
      id: 'off',
      words: 'Two weeks off, from tomorrow',
      plan: { off: [...plan.off, { from: addDays(from, 1), until: addDays(from, 1 + TWO_WEEKS) }] },
    },
    { id: 'helper', words: 'A helper on Saturdays only', plan: { helperWeekdays: [SATURDAY] } },
    { id: 'minutes', words: 'Ten minutes more', plan: { minutes: plan.minutes + 10 } },
  ]
}

const QuestionForm = ({
  line,
  program,
  ask,
}: {
  line: Line
  program: Program
  ask: (question: Question) => void
}) => {
  const gates = gatesAhead(program, viewsIn(line))
  const [gate, setGate] = useState(gates[0]?.key ?? '')
  const [weekdays, setWeekdays] = useState<readonly number[]>(ORDINARY.weekdays)
  const [minutes, setMinutes] = useState(String(ORDINARY.minutes))
  const [by, setBy] = useState('')
  const read = Number(minutes)
  const isFine = gate !== '' && Number.isInteger(read) && read >= 2 && read <= 240
  if (gates.length === 0) return <p>Every gate of its school is behind it.</p>
  return (
    <form
      className="no-print flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        ask({ gate, by: by === '' ? null : by, plan: { ...ORDINARY, weekdays, minutes: read } })
      }}
    >
      <div className="grid gap-3 desk:grid-cols-3">
        <ChoiceField
          label="Before the gate"
          words={gates.map(({ key, name }) => [key, name] as const)}
          value={gate}
          onChange={({ target }) => setGate(target.value)}
        />
        <TextField
          label="Minutes a day"
          inputMode="numeric"
          value={minutes}
          error={isFine || gate === '' ? undefined : 'From 2 to 240.'}
          onChange={({ target }) => setMinutes(target.value)}
        />
        <TextField
          label="Asked for by"
          hint="a day of its owner’s, or none"
          type="date"
          min={line.day}
          value={by}
          onChange={({ target }) => setBy(target.value)}
        />
      </div>
      <fieldset className="flex flex-wrap gap-x-4">
        <legend className="font-bold">Worked on</legend>
        {WEEKDAYS.map((name, i) => (
          <Tick
            key={name}
            checked={weekdays.includes(i + 1)}
            onChange={({ target }) =>
              setWeekdays(
                target.checked
                  ? [...weekdays, i + 1].toSorted((a, b) => a - b)
                  : weekdays.filter((day) => day !== i + 1),
              )
            }
          >
            {name}
          </Tick>
        ))}
      </fieldset>
      <Button look="act" type="submit" className="self-start" disabled={!isFine}>
        Work out when
      </Button>
    </form>
  )
}

const Holds = ({ told, program }: { told: Forecast; program: Program }) => {
  const moves = told.moves
    .map(({ of, rankCorrelation }) => ({ of, share: rankCorrelation ** 2 }))
    .filter(({ share }) => share >= WORTH_TELLING)
    .toSorted((a, b) => b.share - a.share)
  return (
    <section>
      <h3 className="text-lg font-bold">What holds it most</h3>
      {told.holds.length === 0 ? (
        <p>Nothing: it stands before the gate.</p>
      ) : (
        <ul>
          {told.holds
            .filter(({ lastInShare }) => lastInShare >= 0.05)
            .map(({ step, side, lastInShare }) => (
              <li key={`${step}${side}`}>
                {stepOf(program, step)?.name ?? step}
                {sideAfter(side)}: among the last in {Math.round(10 * lastInShare)} of 10
              </li>
            ))}
        </ul>
      )}
      {moves.length > 0 && (
        <p className="mt-1 text-quiet">
          The day hangs most on {moves.map(({ of }) => WHAT_IT_IS[of]).join(', then on ')}.
        </p>
      )}
    </section>
  )
}

const WhatIfs = ({ forecast, plan, from }: { forecast: Forecasting; plan: WorkPlan; from: string }) => (
  <section className="flex flex-col items-start gap-2">
    <h3 className="text-lg font-bold">And if</h3>
    <ul className="flex w-full flex-col gap-1">
      {whatIfsOf(plan, from).map((one) => {
        const told = forecast.told?.whatIfs.find(({ id }) => id === one.id)
        return (
          <li key={one.id} className="flex flex-wrap items-center gap-x-3 border-t border-line">
            <Button
              look="quiet"
              className="no-print"
              disabled={forecast.state !== null}
              onClick={() => void forecast.askIf(one)}
            >
              {one.words}
            </Button>
            {told && (
              <span>{'refused' in told ? told.refused : <b>{differenceWords(told.differenceDays)}</b>}</span>
            )}
          </li>
        )
      })}
    </ul>
  </section>
)

const Told = ({ forecast, line, program }: { forecast: Forecasting; line: Line; program: Program }) => {
  const { told, draws, question, horizonDays } = forecast
  const by = question?.by ?? null
  const option = useCallback(
    () => fanOption(draws, { from: line.day, horizonDays, by }),
    [draws, line.day, horizonDays, by],
  )
  if (!told || !question) return null
  const sentence = [
    forecastWords(told, { today: line.day, horizonDays }),
    ...(by !== null && told.share.by !== null ? [byWords(told.share.by, by)] : []),
  ].join(' ')
  return (
    <div className="grid gap-6 desk:grid-cols-[minmax(0,1fr)_22rem]">
      <div>
        <Chart
          label="How many of ten such horses stand before the gate by each day"
          sentence={withDays(sentence)}
          option={option}
          height={260}
        />
        <p className="text-quiet">
          From {count(draws.length, 'made-up future')} of this horse
          {line.workDays < LITTLE_KNOWN_DAYS &&
            `; after ${count(line.workDays, 'work day')} little is known of it yet`}
          . Mouth, saddle, kit and a helper are taken as there by then.
        </p>
      </div>
      <div className="flex flex-col gap-4">
        <Holds told={told} program={program} />
        {forecast.isDone && <WhatIfs forecast={forecast} plan={question.plan} from={line.day} />}
      </div>
    </div>
  )
}

/** When this horse comes before its gate: asked, drawn, and kept to be held against what comes. */
export const ForecastPart = ({ line, program }: { line: Line; program: Program }) => {
  const horseId = line.horse.id
  const { data: history } = useQuery('evidence', { horseId })
  const { data: worked } = useQuery('worked', { horseId })
  if (!history || !worked) return null
  return <Forecasted line={line} program={program} answers={history.answers} worked={worked.rows} />
}

type ForecastedProps = Parameters<typeof useForecast>[0]

const Forecasted = (of: ForecastedProps) => {
  const { line, program } = of
  const forecast = useForecast(of)
  const book = useEntries(line.horse.id)
  const { state, told, question, draws, isDone, horizonDays } = forecast
  const keep = useEffectEvent(() => {
    if (!question || !told) return
    const entry = forecastEntry(question, draws, {
      name: program.gates.find(({ key }) => key === question.gate)?.name ?? question.gate,
      on: line.day,
      horizonDays,
      byShare: told.share.by,
    })
    const isKept = entriesOf(book.entries ?? [], 'forecast').some(
      (one) =>
        one.on === line.day &&
        one.gate === question.gate &&
        JSON.stringify(one.days) === JSON.stringify((entry as typeof one).days),
    )
    if (!isKept) void book.put(entry)
  })
  useEffect(() => {
    if (isDone) keep()
  }, [isDone])
  return (
    <section className="flex flex-col gap-3 border-t-4 border-ink pt-2">
      <h2 className="text-2xl">When it comes to its gate</h2>
      <QuestionForm line={line} program={program} ask={(next) => void forecast.ask(next)} />
      {state?.is === 'asked' && (
        <p role="status">
          Drawing futures: {state.draws} of {state.of} …
        </p>
      )}
      {state?.is === 'refused' && <Notice>{withDays(state.words)}</Notice>}
      {state?.is === 'failed' && <Notice tone="stop">It could not be worked out here. Try once more.</Notice>}
      <Told forecast={forecast} line={line} program={program} />
    </section>
  )
}

import type { Report } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import type { ReactNode } from 'react'
import { Fold } from '../ui/fold'
import { fullDay, sideAfter, STATE_WORDS, VERDICTS, withDays } from './words'

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="break-inside-avoid">
    <h2 className="mb-1 text-2xl">{title}</h2>
    {children}
  </section>
)

const Lines = ({ lines, none }: { lines: readonly string[]; none: string }) =>
  lines.length === 0 ? (
    <p className="text-quiet">{none}</p>
  ) : (
    <ul className="list-disc pl-6">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )

const skillWords = ({ name, side, state, holds, lastDay }: Report['holds'][number]): string =>
  [
    `${name}${sideAfter(side)}: ${STATE_WORDS[state]}`,
    holds ? `to “${holds}”` : '',
    lastDay ? `last asked ${withDays(lastDay)}` : '',
  ]
    .filter(Boolean)
    .join(', ')

const Next = ({ next }: Pick<Report, 'next'>) =>
  next === null ? (
    <p>All gates are behind it.</p>
  ) : (
    <div className="max-w-prose text-lg">
      <p>
        The gate “{next.name}”: <b>{VERDICTS[next.verdict]}</b>. {withDays(next.sentence)}
      </p>
      {next.waitsFor.length > 0 && <p>Not sooner, for it still waits for: {next.waitsFor.join('; ')}.</p>}
    </div>
  )

const DAYS_OPEN = 5

const Done = ({ done }: Pick<Report, 'done'>) => (
  <>
    <Days done={done.slice(0, DAYS_OPEN)} />
    {done.length > DAYS_OPEN && (
      <Fold title={`The ${count(done.length - DAYS_OPEN, 'day')} before`}>
        <Days done={done.slice(DAYS_OPEN)} />
      </Fold>
    )}
  </>
)

const Days = ({ done }: Pick<Report, 'done'>) => (
  <ol className="flex max-w-prose flex-col gap-2">
    {done.length === 0 && <li className="text-quiet">Nothing was asked in these days.</li>}
    {done.map(({ day, place, steps }) => (
      <li key={day} className="break-inside-avoid">
        <b>
          {withDays(day)}
          {place && `, ${place}`}
        </b>
        <br />
        {steps
          .map(({ name, asked, light }) => `${name} ${count(asked, 'time')}, ${light} light`)
          .join('; then ')}
        .
      </li>
    ))}
  </ol>
)

const Pictures = ({ report, urlOf }: { report: Report; urlOf: PictureUrl }) => (
  <ul className="flex flex-wrap gap-4">
    {report.pictures.map(({ id, day, words }) => {
      const url = urlOf(id)
      return (
        url !== undefined && (
          <li key={id} className="w-60 max-w-full break-inside-avoid">
            <img src={url} alt={words || `Taken on ${withDays(day)}`} className="border border-line" />
            <span className="text-quiet">
              {withDays(day)}
              {words && `: ${words}`}
            </span>
          </li>
        )
      )
    })}
  </ul>
)

/** Where a picture of a report is had. */
type PictureUrl = (id: string) => string | undefined

const ofTheYard: PictureUrl = (id) => `/api/v1/attachments/${id}/thumbnail`

interface SheetProps {
  readonly report: Report
  readonly urlOf?: PictureUrl
}

/** A horse told to its owner: what is next and why not sooner, what holds, what happened, what was done. */
export const ReportSheet = ({ report, urlOf = ofTheYard }: SheetProps) => (
  <div className="flex flex-col gap-6">
    <p className="text-quiet">
      {fullDay(report.from)} to {fullDay(report.day)}. Worked by {report.school}. It says only what was
      recorded.
    </p>
    <Part title="What is next, and why not sooner">
      <Next next={report.next} />
      {report.forecast && <p className="max-w-prose">{withDays(report.forecast)}</p>}
    </Part>
    <div className="grid gap-6 desk:grid-cols-2">
      <Part title="What holds">
        <Lines lines={report.holds.map(skillWords)} none="Nothing holds yet." />
      </Part>
      <div className="flex flex-col gap-6">
        <Part title="Under way">
          <Lines lines={report.underWay.map(skillWords)} none="Nothing else was begun." />
        </Part>
        <Part title="What happened">
          <Lines lines={report.incidents.map(withDays)} none="No incident is recorded of these days." />
        </Part>
        {report.tight.length > 0 && (
          <Part title="Where tight was noted">
            <Lines lines={report.tight} none="" />
          </Part>
        )}
        {report.against.length > 0 && (
          <Part title="Asked though it was not to be">
            <Lines
              lines={report.against.map(
                ({ day, name, words, why }) =>
                  `${withDays(day)}, ${name}: ${words}${why ? ` Said of it: ${why}` : ''}`,
              )}
              none=""
            />
          </Part>
        )}
      </div>
    </div>
    {report.pictures.length > 0 && (
      <Part title="Pictures">
        <Pictures report={report} urlOf={urlOf} />
      </Part>
    )}
    <Part title="What was done, the last day first">
      <Done done={report.done} />
    </Part>
  </div>
)

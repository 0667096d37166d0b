import { CALM_WORDS, gradeWord } from '@still-pine/core/answer'
import { faultInWords, type KnownHorse, type MappedAnswer } from '@still-pine/core/formats'
import { rungName, stepOf } from '@still-pine/core/program'
import type { Preview } from '../../threads/log-reader.worker'
import { plural } from '@still-pine/core/answer'
import { grouped } from '../../shared/words'

const when = (at: string, timeZone: string): string =>
  new Date(at).toLocaleString('en-GB', { timeZone, dateStyle: 'medium', timeStyle: 'short' })

const Row = ({
  answer,
  horses,
  timeZone,
}: {
  answer: MappedAnswer
  horses: readonly KnownHorse[]
  timeZone: string
}) => {
  const horse = horses.find(({ id }) => id === answer.horseId)!
  const step = stepOf(horse.program, answer.step)!
  return (
    <tr className="border-t border-line align-top">
      <td className="py-1 pr-3 text-quiet">{answer.line}</td>
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {horse.name}
      </th>
      <td className="py-1 pr-3">{when(answer.at, timeZone)}</td>
      <td className="py-1 pr-3">
        {step.name}
        {answer.side !== 'none' && `, ${answer.side}`}
        <span className="block text-quiet">{rungName(step, answer.rung)}</span>
      </td>
      <td className="py-1">
        {gradeWord(step.kind, answer.grade)}
        {answer.calm !== null && `, ${CALM_WORDS[answer.calm]}`}
        {answer.recalled && ', from memory'}
        {answer.byChance && ', by chance'}
      </td>
    </tr>
  )
}

interface Props {
  readonly preview: Preview
  readonly horses: readonly KnownHorse[]
  readonly timeZone: string
}

/** What will be read, as the product understands it, and what is refused and why. */
export const LogPreview = ({ preview, horses, timeZone }: Props) => (
  <div className="flex flex-col gap-5">
    <p className="text-lg" role="status">
      <b>{grouped(preview.answers)}</b> answers in {grouped(preview.sessions)} sessions can be read;{' '}
      <b>{grouped(preview.faultCount)}</b> {plural(preview.faultCount, 'line')} cannot.
    </p>
    {preview.faultCount > 0 && (
      <section>
        <h3 className="mb-1 text-lg text-stop">Refused</h3>
        <ul className="max-h-72 list-disc overflow-y-auto pl-5" tabIndex={0} aria-label="Refused lines">
          {preview.faults.map((fault) => (
            <li key={`${fault.line}${fault.column}`}>{faultInWords(fault)}</li>
          ))}
          {preview.faultCount > preview.faults.length && (
            <li>and {grouped(preview.faultCount - preview.faults.length)} more</li>
          )}
        </ul>
      </section>
    )}
    {preview.first.length > 0 && (
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The first answers">
        <table className="w-full border-collapse">
          <caption className="mb-1 text-left font-name text-lg font-bold">
            The first answers, as they are read
          </caption>
          <thead className="text-left text-quiet">
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Horse</th>
              <th scope="col">When</th>
              <th scope="col">Step</th>
              <th scope="col">Answer</th>
            </tr>
          </thead>
          <tbody>
            {preview.first.map((answer) => (
              <Row key={answer.line} answer={answer} horses={horses} timeZone={timeZone} />
            ))}
          </tbody>
        </table>
      </div>
    )}
  </div>
)

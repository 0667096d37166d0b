import { cardOf, GENERAL_CAUTIONS, rungName, stepOf } from '@still-pine/core/program'
import { Link, useParams } from 'react-router'
import { Loading } from '../shared/loading'
import { useHorse } from '../shared/use-horse'

/** One step on one screen, in big type: what to do, what counts, what to do when it goes wrong, and the care to take. */
const CardPage = () => {
  const { stepKey = '' } = useParams()
  const { horseId, line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  const step = stepOf(program, stepKey)
  if (!step)
    return <Loading error={{ data: { title: `“${stepKey}” is not a step of this horse’s program.` } }} />
  const card = cardOf(program, step.key)
  const opensAt = Math.min(...line.tracks.filter((t) => t.step === step.key).map(({ view }) => view.openAt))
  const isGeneral = (caution: string): boolean => GENERAL_CAUTIONS.includes(caution)
  const cautions = card.cautions.filter((caution) => !isGeneral(caution))
  // Those of its stage stand below its own: none is dropped because a step has its own.
  const always = card.cautions.filter(isGeneral)
  return (
    <main className="mx-auto flex w-full max-w-3xl flex-col gap-2 px-4 py-2 text-xl leading-snug">
      <h1 className="text-3xl">
        <Link to={`/horses/${horseId}/steps/${step.key}`}>{step.name}</Link>
      </h1>
      <p>
        Open at rung {opensAt}, <b>{rungName(step, opensAt)}</b>.
      </p>
      <p>
        {card.how} {card.inThisSchool}
      </p>
      <p>
        <b>Counts:</b> {card.counts}
      </p>
      <dl className="border-l-4 border-ink pl-3">
        {card.faults.map(({ fault, repair }) => (
          <div key={fault} className="mb-1">
            <dt className="inline font-bold">{fault}: </dt>
            <dd className="inline">{repair}</dd>
          </div>
        ))}
      </dl>
      <ul className="border-l-4 border-stop pl-3">
        {cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      {always.length > 0 && (
        <p className="text-base">
          <b>Always:</b> {always.join(' ')}
        </p>
      )}
    </main>
  )
}

export default CardPage

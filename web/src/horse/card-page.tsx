import { rungName, stepOf } from '@still-pine/core/program'
import { Link, useParams } from 'react-router'
import { CardWords } from '../shared/card-words'
import { Loading } from '../shared/loading'
import { StepCues } from '../shared/step-cues'
import { useHorse } from '../shared/use-horse'

/** One step on one screen, in big type: what to do, what counts, what to do when it goes wrong, and the care to take. */
const CardPage = () => {
  const { stepKey = '' } = useParams()
  const { horseId, line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  const step = stepOf(program, stepKey)
  if (!step)
    return <Loading error={{ data: { title: `“${stepKey}” is not a step of this horse’s program.` } }} />
  const opensAt = Math.min(...line.tracks.filter((t) => t.step === step.key).map(({ view }) => view.openAt))
  return (
    <main className="mx-auto flex w-full max-w-3xl flex-col gap-2 px-4 py-2 text-xl leading-snug">
      <h1 className="text-3xl">
        <Link to={`/horses/${horseId}/steps/${step.key}`}>{step.name}</Link>
      </h1>
      <p>
        Open at rung {opensAt}, <b>{rungName(step, opensAt)}</b>.
      </p>
      <StepCues horseId={horseId} step={step.key} />
      <CardWords step={step} program={program} />
    </main>
  )
}

export default CardPage

import type { SavedAnswer } from '@still-pine/contract'
import { stepServing, type Program } from '@still-pine/core/program'
import { knownFrom } from '@still-pine/core/readiness'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { useCare } from '../use-care'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { longDay, VERDICTS } from '../../shared/words'
import { useHorse } from '../../shared/use-horse'
import { avoidWords, FEET, footWords, helpWords } from './farrier-words'
import { TableRoom } from '../../ui/table-room'

/** Standing and being tied matter to a farrier as much as the feet. */
const BESIDE = ['stands', 'ties', 'leads'] as const

const NO_ANSWERS: readonly SavedAnswer[] = []

/** The newest answers of a foot; none where the path does not handle it. */
const useFootAnswers = (
  horseId: string,
  program: Program | undefined,
  serves: 'front-foot' | 'hind-foot',
): readonly SavedAnswer[] | undefined => {
  const step = program && stepServing(program, serves)
  const { data } = useQuery('stepAnswers', { horseId, step: step?.key ?? '' }, { skip: !step })
  return program && !step ? NO_ANSWERS : data?.answers
}

/** One sheet to hand to the farrier: which foot to which rung, what to avoid, what helps. */
const FarrierPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: care } = useCare(horseId)
  const front = useFootAnswers(horseId, program, 'front-foot')
  const hind = useFootAnswers(horseId, program, 'hind-foot')
  if (!line || !program || !care || !front || !hind) return <Loading error={error} retry={retry} />
  const gate = line.gates.find(({ gate }) => gate === 'farrier')
  const avoid = avoidWords([...front, ...hind], care.incidents, line.day)
  const { horse } = line
  return (
    <main className="mx-auto flex w-full max-w-3xl flex-col gap-4 px-4 py-3 text-lg print:gap-2">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">For the farrier: {horse.name}</h1>
        <Button className="no-print" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p>
        {longDay(line.day)}. {[horse.sex, horse.marks].filter(Boolean).join(', ')}.{' '}
        {gate && (
          <>
            <Link className="underline" to={`/horses/${horse.id}/gates/farrier`}>
              Farrier gate
            </Link>{' '}
            today: <b>{VERDICTS[gate.verdict]}</b>.
          </>
        )}
      </p>
      <TableRoom label="Feet">
        <table className="w-full border-collapse text-left">
          <thead>
            <tr className="border-b-2 border-ink">
              <th scope="col" className="py-1 pr-3">
                Foot
              </th>
              <th scope="col" className="pr-3">
                May be taken
              </th>
              <th scope="col">Known from</th>
            </tr>
          </thead>
          <tbody>
            {FEET.map((foot) => {
              const { to, known } = footWords(line, program, foot)
              return (
                <tr key={foot.name} className="border-b border-line">
                  <th scope="row" className="py-2 pr-3">
                    {foot.name}
                  </th>
                  <td className="pr-3 font-bold">{to}</td>
                  <td className="text-quiet">{known}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </TableRoom>
      <section>
        <h2 className="text-xl">Avoid</h2>
        {avoid.length === 0 ? (
          <p>Nothing went wrong at its feet lately, as far as it was noted.</p>
        ) : (
          <ul className="list-disc pl-6">
            {avoid.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2 className="text-xl">What helps</h2>
        <ul className="list-disc pl-6">
          {helpWords(line, program).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="text-xl">Standing, tying, leading</h2>
        <ul className="list-disc pl-6">
          {BESIDE.map((service) => {
            const beside = stepServing(program, service)
            const view = line.tracks.find(({ step }) => step === beside?.key)?.view
            return (
              view &&
              beside && <li key={service}>{`${beside.name}: ${knownFrom(view as never, line.day)}.`}</li>
            )
          })}
        </ul>
      </section>
      <p className="text-quiet">
        It stays the farrier’s call. A foot that hurts, heat or a pulse in it: the vet first.
      </p>
    </main>
  )
}

export default FarrierPage

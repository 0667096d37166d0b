import { cardOf, GENERAL_CAUTIONS, type Program, type Step } from '@still-pine/core/program'

/** What is read with a horse in the other hand: how it is asked, what counts, what goes wrong, the care to take. */
export const CardWords = ({ step, program }: { step: Step; program: Program }) => {
  const card = cardOf(program, step.key)
  const isGeneral = (caution: string): boolean => GENERAL_CAUTIONS.includes(caution)
  // Those of its stage stand below its own: none is dropped because a step has its own.
  const always = card.cautions.filter(isGeneral)
  return (
    <>
      <p>
        {card.how} {card.inThisSchool}
      </p>
      <p>
        <b>Counts:</b> {card.counts}
      </p>
      <ul aria-label="Danger" className="border-l-4 border-stop pl-3">
        {card.cautions
          .filter((caution) => !isGeneral(caution))
          .map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
      </ul>
      <dl className="border-l-4 border-ink pl-3">
        {card.faults.map(({ fault, repair }) => (
          <div key={fault} className="mb-1">
            <dt className="inline font-bold">{fault}: </dt>
            <dd className="inline">{repair}</dd>
          </div>
        ))}
      </dl>
      {always.length > 0 && (
        <p className="text-base">
          <b>Always:</b> {always.join(' ')}
        </p>
      )}
    </>
  )
}

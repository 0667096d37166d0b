import { cardOf, GENERAL_CAUTIONS, troublesFrom, type Program, type Step } from '@still-pine/core/program'
import type { ReactNode } from 'react'

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <div>
    <h2 className="mb-1 text-lg">{title}</h2>
    {children}
  </div>
)

/** A figure stays on one line with its unit. */
const withUnits = (text: string): string => text.replace(/(\d) (mm|m|s|N)\b/g, '$1\u00a0$2')

/** What is read at the rail before a step, as the horse's school asks it. */
export const Card = ({ step, program }: { step: Step; program: Program }) => {
  const card = cardOf(program, step.key)
  const troubles = troublesFrom(step.key)
  const own = card.cautions.filter((caution) => !GENERAL_CAUTIONS.includes(caution))
  const general = card.cautions.filter((caution) => GENERAL_CAUTIONS.includes(caution))
  if (card.purpose === '') return null
  return (
    <section id="card" className="grid gap-6 text-lg desk:grid-cols-3">
      <div className="flex flex-col gap-4">
        <Part title="What it is for">
          <p>{card.purpose}</p>
        </Part>
        <Part title="How to ask">
          <p>{card.how}</p>
          {card.inThisSchool && (
            <p className="mt-2">
              <b>{program.name}:</b> {card.inThisSchool}
            </p>
          )}
        </Part>
        <Part title="What counts">
          <p>{card.counts}</p>
        </Part>
      </div>
      <div className="flex flex-col gap-4">
        <Part title="When it goes wrong">
          <dl>
            {card.faults.map(({ fault, repair }) => (
              <div key={fault} className="mb-2">
                <dt className="font-bold">{fault}</dt>
                <dd>{repair}</dd>
              </div>
            ))}
          </dl>
        </Part>
        {troubles.length > 0 && (
          <Part title="What it keeps away">
            <p>Later: {troubles.map(({ words }) => words).join('; ')}.</p>
          </Part>
        )}
        {card.underSaddle && (
          <Part title="Under saddle">
            <p>{card.underSaddle}</p>
          </Part>
        )}
      </div>
      <div className="flex flex-col gap-4">
        <Part title="Carry out">
          <p>{withUnits(card.kit.join(', '))}</p>
        </Part>
        <div>
          <h2 className="mb-1 text-lg text-stop">Take care</h2>
          <ul className="list-disc pl-5">
            {[...own, ...general].map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  )
}

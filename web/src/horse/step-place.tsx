import { percent } from '@still-pine/core/answer'
import { rungName, stepsMeeting, type NeedRef, type Program, type Step } from '@still-pine/core/program'
import { needStanding } from '@still-pine/core/readiness'
import type { Line } from '@still-pine/contract'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { viewsIn } from '../shared/views-in'

const ROLE_WORDS = { 'stand-caught': 'stands to be caught', 'go-loose': 'goes and comes loose' } as const

const names = (need: NeedRef, program: Program, step: Step): boolean =>
  stepsMeeting(program, need).some(({ key }) => key === step.key)

/** Steps that need this one, and gates that look at it: what it prepares. */
const preparedBy = (program: Program, step: Step) => ({
  steps: program.steps.filter(({ needs }) => needs.some((need) => names(need, program, step))),
  gates: program.gates.filter(({ solid, met }) =>
    [...solid, ...met].some((need) => names(need, program, step)),
  ),
})

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <div>
    <h2 className="mb-1 text-lg">{title}</h2>
    {children}
  </div>
)

interface Props {
  readonly line: Line
  readonly program: Program
  readonly step: Step
}

/** A step's ladder, what it needs, what carries over to and from it, and what it prepares. */
export const StepPlace = ({ line, program, step }: Props) => {
  const views = viewsIn(line)
  const { steps, gates } = preparedBy(program, step)
  const comes = program.carryOver.filter(({ to }) => to === step.key)
  const goes = program.carryOver.filter(({ from }) => from === step.key)
  const nameOf = (key: string): string => program.steps.find((one) => one.key === key)?.name ?? key
  const link = (key: string) => (
    <Link key={key} className="underline" to={`/horses/${line.horse.id}/steps/${key}`}>
      {nameOf(key)}
    </Link>
  )
  const list = (parts: readonly ReactNode[]): ReactNode =>
    parts.map((part, i) => (
      <li key={i} className="mb-1">
        {part}
      </li>
    ))
  return (
    <section className="grid gap-6 desk:grid-cols-3">
      <Part title="Its rungs, easiest first">
        <ol className="list-decimal pl-6">
          {step.rungs.map((rung, i) => (
            <li key={rung} className={i + 1 === step.requiredRung ? 'font-bold' : ''}>
              {rung}
              {i + 1 === step.requiredRung && ' (must be reached)'}
              {i + 1 > step.requiredRung && ' (for later)'}
            </li>
          ))}
        </ol>
        {step.allRound && <p className="mt-2">All round: from all five places, some of it moving.</p>}
        {step.roles.map((role) => (
          <p key={role} className="mt-2">
            Its part: {ROLE_WORDS[role]}. Any step of this part will do.
          </p>
        ))}
      </Part>
      <Part title="It needs">
        <ul>
          {step.needs.length === 0 && <li>nothing: it begins here</li>}
          {list(
            step.needs.map((need) => {
              const standing = needStanding(program, views, need)
              return (
                standing && (
                  <>
                    <b>{standing.met ? 'Met' : 'Not met'}</b>: {link(standing.step.key)}, “
                    {rungName(standing.step, standing.rung)}”
                    {need.fromRung !== undefined && `, from rung ${need.fromRung} on`}
                  </>
                )
              )
            }),
          )}
          {list(
            comes.map(({ from, share: part }) => (
              <>
                {link(from)} carries over: {percent(part)} of what it can
              </>
            )),
          )}
        </ul>
      </Part>
      <Part title="It prepares">
        <ul>
          {steps.length + gates.length + goes.length === 0 && <li>nothing further on this path</li>}
          {list(steps.map(({ key }) => link(key)))}
          {list(
            gates.map(({ key, name }) => (
              <Link className="underline" to={`/horses/${line.horse.id}/gates/${key}`}>
                the {name} gate
              </Link>
            )),
          )}
          {list(
            goes.map(({ to, share: part }) => (
              <>
                {percent(part)} of it carries over to {link(to)}
              </>
            )),
          )}
        </ul>
      </Part>
    </section>
  )
}

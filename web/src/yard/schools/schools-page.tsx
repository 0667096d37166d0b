import {
  CATALOGUE,
  cardFor,
  DISPUTES,
  MANNER_PARTS,
  rungNeeded,
  SCHOOLS,
  stepOf,
  stepsMeeting,
  type MannerPart,
  type NeedRef,
  type Program,
} from '@still-pine/core/program'
import { useSearchParams } from 'react-router'
import { mayDo } from '@still-pine/contract/rights'
import { useQuery } from '../../app/client'
import { Picker } from '../../shared/pickers'
import { OwnSchools } from './own-schools'
import { YardHeader } from '../yard-header'

const PARTS = Object.entries(MANNER_PARTS) as [MannerPart, string][]

const BY: Record<Program['pace']['gradedBy'], string> = {
  phases: 'the feel grows; the seconds tell how far it had to',
  wait: 'the same feel throughout; the seconds tell how long it took',
  aids: 'each aid after the cue is pressed',
}

const needWords = (need: NeedRef, program: Program): string => {
  const [step] = stepsMeeting(program, need)
  if (!step) return ''
  const name = need.role ? 'one way to come loose or stand to be caught' : step.name
  return `${name} to rung ${rungNeeded(need, step)}`
}

const needsOf = (program: Program, key: string): string => {
  const step = stepOf(program, key)
  if (!step) return 'not on its path'
  return step.needs.map((need) => needWords(need, program)).join('; ') || 'nothing: it begins here'
}

interface Pair {
  readonly one: Program
  readonly other: Program
}

const Row = ({ head, cells }: { head: string; cells: readonly React.ReactNode[] }) => (
  <>
    <tr className="border-t border-line">
      <th scope="rowgroup" colSpan={cells.length} className="pt-2 text-left text-quiet">
        {head}
      </th>
    </tr>
    <tr className="align-top">
      {cells.map((cell, i) => (
        <td key={i} className="w-1/2 pr-4 pb-2">
          {cell}
        </td>
      ))}
    </tr>
  </>
)

const Head = ({ one, other }: Pair) => (
  <thead>
    <tr>
      {[one, other].map((school, i) => (
        <th key={i} scope="col" className="w-1/2 pr-4 text-left font-name text-2xl">
          {school.name}
        </th>
      ))}
    </tr>
  </thead>
)

const Manner = ({ one, other }: Pair) => (
  <table className="w-full table-fixed border-collapse">
    <Head one={one} other={other} />
    <tbody>
      <Row
        head="Pace of an ask"
        cells={[one, other].map(({ pace }) => (
          <>
            <p className="font-bold">
              {pace.limits.map((limit, i) => `${pace.phases[i]} to ${limit} s`).join(', ')}
            </p>
            <p className="text-quiet">{BY[pace.gradedBy]}</p>
          </>
        ))}
      />
      {PARTS.map(([part, words]) => (
        <Row
          key={part}
          head={words}
          cells={[one, other].map(({ manner }) => (
            <>
              <p className="font-bold">{manner[part].words}</p>
              <p className="text-quiet">{manner[part].why}</p>
            </>
          ))}
        />
      ))}
    </tbody>
  </table>
)

/** Steps whose needs differ, or that only one of them has. */
const Order = ({ one, other }: Pair) => {
  const differ = CATALOGUE.filter(({ key }) => needsOf(one, key) !== needsOf(other, key))
  return (
    <table className="w-full table-fixed border-collapse">
      <Head one={one} other={other} />
      <tbody>
        {differ.map(({ key, name }) => (
          <Row key={key} head={name} cells={[needsOf(one, key), needsOf(other, key)]} />
        ))}
      </tbody>
    </table>
  )
}

const HowAsked = ({ one, other, step }: Pair & { step: string }) => {
  const card = cardFor(step)
  return (
    <>
      <p className="mb-2 text-lg">{card.how}</p>
      <table className="w-full table-fixed border-collapse">
        <Head one={one} other={other} />
        <tbody>
          <Row
            head="Its own way"
            cells={[one, other].map(({ school }) => cardFor(step, school).inThisSchool || 'Not on its path.')}
          />
        </tbody>
      </table>
    </>
  )
}

const Disputes = () => (
  <section>
    <h2 className="mb-2 text-2xl">Where good starters differ</h2>
    {DISPUTES.map(({ question, one, other, here }) => (
      <article key={question} className="mb-4 border-t-4 border-ink bg-panel p-4">
        <h3 className="text-xl">{question}</h3>
        <div className="mt-2 grid gap-4 desk:grid-cols-2">
          {[one, other].map(({ says, because }) => (
            <div key={says}>
              <p className="font-bold">{says}</p>
              <p>{because}</p>
            </div>
          ))}
        </div>
        <p className="mt-2 text-quiet">{here}</p>
      </article>
    ))}
  </section>
)

const schoolIn = (search: URLSearchParams, name: string, or: number): Program =>
  SCHOOLS.find(({ school }) => school === search.get(name)) ?? SCHOOLS[or]!

/** Two schools side by side: what they do and why, their order, and how each asks a step. */
const SchoolsPage = () => {
  const [search, setSearch] = useSearchParams()
  const { data: me } = useQuery('me')
  const { data } = useQuery('schools')
  const one = schoolIn(search, 'one', 0)
  const other = schoolIn(search, 'other', 1)
  const step = CATALOGUE.find(({ key }) => key === search.get('step'))?.key ?? CATALOGUE[0]!.key
  const pick = (name: string) => (value: string) =>
    setSearch({ one: one.school, other: other.school, step, [name]: value }, { replace: true })
  return (
    <main className="mx-auto flex w-full max-w-6xl flex-col gap-6 px-4 py-3 desk:px-5">
      <YardHeader title="Schools side by side" />
      <div className="no-print flex flex-wrap gap-4">
        {(['one', 'other'] as const).map((name) => (
          <Picker
            key={name}
            label={name === 'one' ? 'First' : 'Second'}
            value={name === 'one' ? one.school : other.school}
            onPick={pick(name)}
          >
            {SCHOOLS.map((school) => (
              <option key={school.school} value={school.school}>
                {school.name}
              </option>
            ))}
          </Picker>
        ))}
      </div>
      {data && me && <OwnSchools schools={data.schools} mayEdit={mayDo(me.person.role, 'edit-school')} />}
      <Manner one={one} other={other} />
      <Disputes />
      <section>
        <h2 className="mb-2 text-2xl">How they ask a step</h2>
        <div className="no-print mb-3">
          <Picker label="Step" value={step} onPick={pick('step')}>
            {CATALOGUE.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Picker>
        </div>
        <HowAsked one={one} other={other} step={step} />
      </section>
      <section>
        <h2 className="mb-2 text-2xl">Where their order differs: what a step needs first</h2>
        <Order one={one} other={other} />
      </section>
    </main>
  )
}

export default SchoolsPage

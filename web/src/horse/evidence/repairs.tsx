import { entriesOf } from '@still-pine/contract/entries-of'
import { count } from '@still-pine/core/answer'
import { repairsByFault } from '@still-pine/core/patterns'
import type { Program, Step } from '@still-pine/core/program'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { useEntries } from '../../shared/use-entries'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { Fold } from '../../ui/fold'

type Outcome = ReturnType<typeof repairsByFault>[number]

const SAYS: Readonly<Record<Outcome['says'], string>> = {
  apart: 'stands apart from the others',
  'only-one': 'no other was tried: nothing to compare it with',
  'too-few': 'too few to say which is better',
  overlap: 'which is better cannot be told from these',
}

const percent = (share: number): string => `${Math.round(100 * share)} %`

/** "After", never "because": later repairs meet harder cases. */
const rowWords = ({ tried, worked, low, high }: Outcome['rows'][number]): string =>
  `gone ${worked} of ${count(tried, 'time')} after (${percent(low)} to ${percent(high)})`

const FIELDS: readonly EntryField[] = [
  { name: 'fault', label: 'What goes wrong' },
  { name: 'repair', label: 'Its repair' },
  { name: 'school', label: 'Only in this school', as: 'tick', show: (school) => school !== null },
]

interface Props {
  readonly horseId: string
  readonly step: Step
  readonly program: Program
  readonly today: string
}

/** Which repair was tried at which fault of a step, and how it went after. */
export const Repairs = ({ horseId, step, program, today }: Props) => {
  const { entries = [], put, strike } = useEntries(horseId)
  const school = program.copyOf ?? program.school
  const mayLog = useMay('log-answers')
  const tried = entriesOf(entries, 'repair').filter((one) => one.step === step.key)
  const open = tried.filter(({ worked }) => worked === null)
  const outcomes = repairsByFault(tried)
  const own = entriesOf(entries, 'own-fault').filter((one) => one.step === step.key)
  const title = tried.length === 0 ? 'Faults of our own, and repairs' : `Repairs: ${tried.length} tried`
  return (
    <Fold title={title}>
      <div className="flex max-w-prose flex-col gap-4">
        {outcomes.map((outcome) => (
          <section key={outcome.fault}>
            <h3 className="font-bold">{outcome.fault}</h3>
            <ul>
              {outcome.rows.map((row) => (
                <li key={row.repair}>
                  {row.repair} <span className="text-quiet">{rowWords(row)}</span>
                </li>
              ))}
            </ul>
            <p>
              {outcome.best === null ? '' : `“${outcome.best}” `}
              {SAYS[outcome.says]}.
            </p>
          </section>
        ))}
        {mayLog &&
          open.map((one) => {
            const { id, byName: _by, ...told } = one
            return (
              <div key={id} className="no-print flex flex-wrap items-center gap-2">
                <span>
                  {longDay(one.on)}: {one.fault}, {one.repair} How did it go after?
                </span>
                <Button onClick={() => void put({ ...told, worked: true }, id)}>It was gone</Button>
                <Button onClick={() => void put({ ...told, worked: false }, id)}>It was not</Button>
              </div>
            )
          })}
        <EntryList
          kind="own-fault"
          book={{ put, strike }}
          today={today}
          title="Faults of our own"
          one="fault"
          empty="None: the card names the usual ones. Add what this yard sees beside them."
          items={own}
          name={({ fault }) => fault}
          words={({ repair }) => repair}
          fields={FIELDS}
          read={(values) => ({
            ...values,
            step: step.key,
            ofYard: true,
            school: values.school === true ? school : null,
          })}
          submit="Keep this fault"
        />
      </div>
    </Fold>
  )
}

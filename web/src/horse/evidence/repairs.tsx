import type { PutEntry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { count } from '@still-pine/core/answer'
import { repairsByFault } from '@still-pine/core/patterns'
import type { Program, Step } from '@still-pine/core/program'
import { useState } from 'react'
import { EditList } from '../../shared/edit-list'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { useEntryForm } from '../../shared/use-entry-form'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { Fold } from '../../ui/fold'
import { TextField, Tick } from '../../ui/inputs'

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

const OwnFaultForm = ({
  step,
  school,
  today,
  onPut,
}: {
  readonly step: string
  readonly school: string
  readonly today: string
  readonly onPut: (entry: PutEntry) => void
}) => {
  const [fault, setFault] = useState('')
  const [repair, setRepair] = useState('')
  const [isOfSchool, setOfSchool] = useState(false)
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'own-fault',
      on: today,
      ofYard: true,
      step,
      school: isOfSchool ? school : null,
      fault,
      repair,
    }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="What goes wrong"
        value={fault}
        error={faults.fault}
        onChange={({ target }) => setFault(target.value)}
      />
      <TextField
        label="Its repair"
        value={repair}
        error={faults.repair}
        onChange={({ target }) => setRepair(target.value)}
      />
      <Tick checked={isOfSchool} onChange={({ target }) => setOfSchool(target.checked)}>
        Only in this school
      </Tick>
      <Button look="act" type="submit" className="min-h-14">
        Keep this fault
      </Button>
    </form>
  )
}

interface Props {
  readonly horseId: string
  readonly step: Step
  readonly program: Program
  readonly today: string
}

/** Which repair was tried at which fault of a step, and how it went after. */
export const Repairs = ({ horseId, step, program, today }: Props) => {
  const { entries = [], put, strike } = useEntries(horseId)
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
        <EditList
          title="Faults of our own"
          one="fault"
          empty="None: the card names the usual ones. Add what this yard sees beside them."
          items={own}
          mayEdit={mayLog}
          name={({ fault }) => fault}
          words={({ repair }) => repair}
          actions={(one) => <StrikeButton entry={one} strike={strike} />}
          form={(told, close) => (
            <OwnFaultForm
              step={step.key}
              school={program.copyOf ?? program.school}
              today={told?.on ?? today}
              onPut={(entry) => {
                void put(entry, told?.id)
                close()
              }}
            />
          )}
        />
      </div>
    </Fold>
  )
}

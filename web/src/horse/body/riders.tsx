import type { Entry, PutEntry } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { riderShare } from '@still-pine/core/body'
import { useState } from 'react'
import { EditList } from '../../shared/edit-list'
import { StrikeButton } from '../../shared/strike-button'
import type { Entries } from '../../shared/use-entries'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { TextField } from '../../ui/inputs'

type Rider = EntryOf<'rider'>

interface FormProps {
  readonly today: string
  readonly told: Rider | null
  readonly onPut: (entry: PutEntry) => void
}

const RiderForm = ({ today, told, onPut }: FormProps) => {
  const [who, setWho] = useState(told?.who ?? '')
  const [kg, setKg] = useState(told ? String(told.kg) : '')
  const [tackKg, setTackKg] = useState(told ? String(told.tackKg) : '')
  const { faults, send } = useEntryForm(
    () => ({ kind: 'rider', on: today, who, kg: typedNumber(kg), tackKg: typedNumber(tackKg) }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField label="Who" value={who} error={faults.who} onChange={({ target }) => setWho(target.value)} />
      <TextField
        label="Rider, kg"
        hint="dressed to ride, with helmet and boots"
        inputMode="decimal"
        value={kg}
        error={faults.kg}
        onChange={({ target }) => setKg(target.value)}
      />
      <TextField
        label="Saddle and all, kg"
        inputMode="decimal"
        value={tackKg}
        error={faults.tackKg}
        onChange={({ target }) => setTackKg(target.value)}
      />
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep this rider'}
      </Button>
    </form>
  )
}

interface Bearing {
  readonly horseKg: number
  readonly conditionScore: number | null
  readonly rides: number
}

const SAYS = { stop: 'too heavy for it', near: 'just within what it may bear', ok: 'light enough' } as const

const riderWords = ({ kg, tackKg, note }: Rider, bears: Bearing | null): string => {
  const weights = `${kg} kg and ${tackKg} kg of tack`
  if (!bears) return [weights, note].filter(Boolean).join('; ')
  const { share, says } = riderShare({ riderKg: kg, tackKg, rideNumber: bears.rides + 1, ...bears })
  return `${weights}: ${(100 * share).toFixed(1)} %, ${SAYS[says]}`
}

interface Props extends Pick<Entries, 'put' | 'strike'> {
  readonly entries: readonly Entry[]
  readonly today: string
  /** What it may bear, where it is weighed. */
  readonly bears: Bearing | null
}

/** Who rides it and how heavy they are: the scale then says what somebody would have to confirm. */
export const Riders = ({ entries, today, bears, put, strike }: Props) => {
  const mayLog = useMay('log-answers')
  return (
    <EditList
      title="Riders"
      one="rider"
      empty="Nobody yet. With rider, saddle and horse weighed nobody has to say that they fit."
      items={entriesOf(entries, 'rider').toReversed()}
      mayEdit={mayLog}
      name={({ who }) => who || 'Rider'}
      words={(rider) => riderWords(rider, bears)}
      actions={(rider) => <StrikeButton entry={rider} strike={strike} />}
      form={(told, close) => (
        <RiderForm
          today={today}
          told={told}
          onPut={(entry) => {
            void put(entry, told?.id)
            close()
          }}
        />
      )}
    />
  )
}

import { entriesOf } from '@still-pine/contract/entries-of'
import { heat, heatWords } from '@still-pine/core/leave-off'
import { useState } from 'react'
import { useEntries } from '../shared/use-entries'
import { typedNumber, useEntryForm } from '../shared/use-entry-form'
import { Button } from '../ui/button'
import { TextField, Tick } from '../ui/inputs'
import { Sheet } from '../ui/sheet'

const HeatForm = ({
  day,
  close,
  put,
}: { day: string; close: () => void } & Pick<ReturnType<typeof useEntries>, 'put'>) => {
  const [airC, setAir] = useState('')
  const [humidity, setHumidity] = useState('')
  const [isUsed, setUsed] = useState(true)
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'heat',
      on: day,
      ofYard: true,
      airC: typedNumber(airC),
      humidityPercent: typedNumber(humidity),
      usedToHeat: isUsed,
    }),
    (entry) => {
      void put(entry)
      close()
    },
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Air, °C"
        inputMode="decimal"
        value={airC}
        error={faults.airC}
        onChange={({ target }) => setAir(target.value)}
      />
      <TextField
        label="Humidity, %"
        inputMode="decimal"
        value={humidity}
        error={faults.humidityPercent}
        onChange={({ target }) => setHumidity(target.value)}
      />
      <Tick checked={isUsed} onChange={({ target }) => setUsed(target.checked)}>
        The horses are used to the heat: not in its first two weeks
      </Tick>
      <Button look="act" type="submit" className="min-h-14">
        Keep it for the whole yard, today
      </Button>
    </form>
  )
}

/** How hot it is today, and what that leaves: said on top, and asked for where there is room. */
export const Heat = ({ horseId, day, place }: { horseId: string; day: string; place: 'top' | 'below' }) => {
  const { entries = [], put } = useEntries(horseId)
  const [isOpen, setOpen] = useState(false)
  const last = entriesOf(entries, 'heat').findLast(({ on }) => on === day)
  const said = last && heat(last.airC, last.humidityPercent, last.usedToHeat)
  const words = said && heatWords(said)
  if ((place === 'top') !== (last !== undefined)) return null
  return (
    <div
      className={`no-print flex flex-wrap items-center gap-x-3 ${words ? 'border-l-8 border-stop bg-panel px-3 py-1 text-lg' : ''}`}
    >
      {last && (
        <p role="status">
          {last.airC} °C, {last.humidityPercent} %: {words ?? 'no reason to do less.'}
        </p>
      )}
      <Button look="quiet" onClick={() => setOpen(true)}>
        {last ? 'It is otherwise now' : 'Hot today? Say how hot'}
      </Button>
      <Sheet open={isOpen} title="How hot it is" onClose={() => setOpen(false)}>
        <HeatForm day={day} close={() => setOpen(false)} put={put} />
      </Sheet>
    </div>
  )
}

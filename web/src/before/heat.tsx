import { entriesOf } from '@still-pine/contract/entries-of'
import { heat, heatWords } from '@still-pine/core/leave-off'
import { useState } from 'react'
import { EntryForm, type EntryField } from '../shared/entry-form'
import { useEntries } from '../shared/use-entries'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'

const FIELDS: readonly EntryField[] = [
  { name: 'airC', label: 'Air, °C', as: 'number' },
  { name: 'humidityPercent', label: 'Humidity, %', as: 'number' },
  {
    name: 'usedToHeat',
    label: 'The horses are used to the heat: not in its first two weeks',
    as: 'tick',
    start: true,
  },
]

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
        <EntryForm
          kind="heat"
          today={day}
          told={null}
          fields={FIELDS}
          read={(values) => ({ ...values, ofYard: true })}
          submit="Keep it for the whole yard, today"
          onPut={(entry) => {
            void put(entry)
            setOpen(false)
          }}
        />
      </Sheet>
    </div>
  )
}

import type { Entry } from '@still-pine/contract'
import { Button } from '../ui/button'
import { toast } from '../ui/toast'
import type { Entries } from './use-entries'

interface Props {
  readonly entry: Entry
  readonly strike: Entries['strike']
  readonly onDone?: () => void
}

/** Takes an entry back; it stays to be read, and can count again. */
export const StrikeButton = ({ entry, strike, onDone }: Props) => {
  const press = (): void => {
    void strike(entry)
    onDone?.()
    if (entry.takenBack) return
    toast('Taken back.', {
      action: { label: 'Undo', onClick: () => void strike({ ...entry, takenBack: true }) },
    })
  }
  return (
    <Button look="quiet" onClick={press}>
      {entry.takenBack ? 'Let it count again' : 'Take it back'}
    </Button>
  )
}

import type { Entry } from '@still-pine/contract'
import { Button } from '../ui/button'
import type { Entries } from './use-entries'

/** Takes an entry back; it stays to be read, and can count again. */
export const StrikeButton = ({ entry, strike }: { entry: Entry; strike: Entries['strike'] }) => (
  <Button look="quiet" onClick={() => void strike(entry)}>
    {entry.takenBack ? 'Let it count again' : 'Take it back'}
  </Button>
)

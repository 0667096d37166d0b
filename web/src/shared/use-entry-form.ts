import { PutEntry } from '@still-pine/contract'
import { useState, type FormEvent } from 'react'

/** A number as it is typed, with a comma or a point; what is none is kept for the form to say so. */
export const typedNumber = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.trim().replace(',', '.'))

type Faults = Readonly<Record<string, string>>

const NO_FAULTS: Faults = {}

/** Reads what a form says as an entry; what is wrong is said at its field. `faultsIn` looks at what is read. */
export const useEntryForm = (
  read: () => object,
  onPut: (entry: PutEntry) => void,
  faultsIn: (entry: PutEntry) => Faults = () => NO_FAULTS,
) => {
  const [faults, setFaults] = useState(NO_FAULTS)
  const send = (event: FormEvent): void => {
    event.preventDefault()
    const found = PutEntry.safeParse(read())
    if (found.success) {
      const others = faultsIn(found.data)
      return Object.keys(others).length > 0 ? setFaults(others) : onPut(found.data)
    }
    setFaults(Object.fromEntries(found.error.issues.map(({ path, message }) => [String(path[0]), message])))
  }
  return { faults, send }
}

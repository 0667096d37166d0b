import { PutEntry } from '@still-pine/contract'
import { useState, type FormEvent } from 'react'

/** A number as it is typed, with a comma or a point; what is none is kept for the form to say so. */
export const typedNumber = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.trim().replace(',', '.'))

/** Reads what a form says as an entry; what is wrong is said at its field. */
export const useEntryForm = (read: () => object, onPut: (entry: PutEntry) => void) => {
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const send = (event: FormEvent): void => {
    event.preventDefault()
    const found = PutEntry.safeParse(read())
    if (found.success) return onPut(found.data)
    setFaults(Object.fromEntries(found.error.issues.map(({ path, message }) => [String(path[0]), message])))
  }
  return { faults, send }
}

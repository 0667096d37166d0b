import { useState } from 'react'
import { useQuery } from '../app/client'
import { Picker } from './pickers'
import { whereNow, workAt } from './where'

interface Props {
  readonly label?: string
  readonly onPicked?: (place: string | null) => void
}

/** In which pen or on which track the work is; it stays until another is chosen. */
export const PlacePicker = ({ label = 'Where', onPicked }: Props) => {
  const { data } = useQuery('places')
  const [where, setWhere] = useState(whereNow)
  const places = data?.places ?? []
  if (places.length === 0) return null
  const pick = (name: string): void => {
    workAt(name || null)
    setWhere(name || null)
    onPicked?.(name || null)
  }
  const isKnown = where === null || places.some(({ name }) => name === where)
  return (
    <Picker label={label} value={where ?? ''} onPick={pick}>
      <option value="">not said</option>
      {!isKnown && <option value={where}>{where}</option>}
      {places.map(({ id, name }) => (
        <option key={id} value={name}>
          {name}
        </option>
      ))}
    </Picker>
  )
}

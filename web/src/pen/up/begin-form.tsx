import type { PutEntry } from '@still-pine/contract'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { EntryForm, type EntryField } from '../../shared/entry-form'

const FIELDS: readonly EntryField[] = [
  { name: 'rider', label: 'Who sits up' },
  { name: 'helper', label: 'Who is on the ground' },
  {
    name: 'rehearsed',
    label:
      'Rehearsed, without the horse: down on “down”, from either side; the helper lets the hip come round and never holds fast',
    as: 'tick',
  },
]

/** Who does what, and that getting off was rehearsed: before anybody goes near the block. */
export const BeginForm = ({ today, onPut }: { today: string; onPut: (entry: PutEntry) => void }) => {
  // Made once, so that pressing twice begins one session.
  const [sessionId] = useState(() => uuid())
  return (
    <EntryForm
      kind="run-sheet"
      today={today}
      told={null}
      fields={FIELDS}
      read={(values) => ({ ...values, sessionId, startedAt: new Date().toISOString() })}
      submit="Begin with lying over"
      onPut={onPut}
    />
  )
}

import { useState } from 'react'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'

interface Props {
  readonly isWithdrawn: boolean
  /** Takes the record back for a reason, or makes it count again with none. */
  readonly put: (because: string | null) => void
}

/** Takes a record back with a word why; it stays to be read and can count again. */
export const Withdraw = ({ isWithdrawn, put }: Props) => {
  const [because, setBecause] = useState('')
  const [isOpen, setOpen] = useState(false)
  if (isWithdrawn)
    return (
      <Button look="quiet" className="no-print" onClick={() => put(null)}>
        Let it count again
      </Button>
    )
  if (!isOpen)
    return (
      <Button look="quiet" className="no-print" onClick={() => setOpen(true)}>
        Take it back
      </Button>
    )
  return (
    <form
      className="no-print flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault()
        put(because.trim())
        setOpen(false)
      }}
    >
      <Field label="Why it is taken back">
        {(props) => (
          <input
            className={INPUT}
            maxLength={200}
            value={because}
            onChange={(event) => setBecause(event.target.value)}
            {...props}
          />
        )}
      </Field>
      <Button type="submit" disabled={because.trim() === ''}>
        Take it back
      </Button>
      <Button look="quiet" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </form>
  )
}

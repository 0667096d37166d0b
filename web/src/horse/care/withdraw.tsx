import { useState } from 'react'
import { Button } from '../../ui/button'
import { WhyForm } from '../../shared/why-form'

interface Props {
  readonly isWithdrawn: boolean
  /** Takes the record back for a reason, or makes it count again with none. */
  readonly put: (because: string | null) => void
}

/** Takes a record back with a word why; it stays to be read and can count again. */
export const Withdraw = ({ isWithdrawn, put }: Props) => {
  const [isOpen, setOpen] = useState(false)
  if (isWithdrawn)
    return (
      <Button look="quiet" onClick={() => put(null)}>
        Let it count again
      </Button>
    )
  if (!isOpen)
    return (
      <Button look="quiet" onClick={() => setOpen(true)}>
        Take it back
      </Button>
    )
  return (
    <WhyForm
      label="Why it is taken back"
      act="Take it back"
      className="flex-wrap items-end py-2"
      onWhy={(why) => {
        put(why)
        setOpen(false)
      }}
    >
      <Button look="quiet" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </WhyForm>
  )
}

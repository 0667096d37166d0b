import type { PutEntry } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { useState } from 'react'
import { useEntryForm } from '../../shared/use-entry-form'
import { Button } from '../../ui/button'
import { TextField, Tick } from '../../ui/inputs'

interface Props {
  readonly today: string
  readonly told: EntryOf<'tool'> | null
  readonly onPut: (entry: PutEntry) => void
}

/** A tool that drives the horse, or that it bears, or both. */
export const ToolForm = ({ today, told, onPut }: Props) => {
  const [tool, setTool] = useState(told?.tool ?? '')
  const [drives, setDrives] = useState(told?.drives ?? true)
  const [accepted, setAccepted] = useState(told?.accepted ?? false)
  const [tellApart, setTellApart] = useState(told?.tellApart.join(', ') ?? '')
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'tool',
      on: told?.on ?? today,
      tool,
      drives,
      accepted,
      tellApart: tellApart.split(',').filter((one) => one.trim() !== ''),
    }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Tool"
        hint="flag, stick, rope"
        value={tool}
        error={faults.tool}
        onChange={({ target }) => setTool(target.value)}
      />
      <Tick checked={drives} onChange={({ target }) => setDrives(target.checked)}>
        It drives the horse
      </Tick>
      <Tick checked={accepted} onChange={({ target }) => setAccepted(target.checked)}>
        The horse is to bear it
      </Tick>
      <TextField
        label="What tells the one from the other"
        hint="body turned away, tool still; with commas between"
        value={tellApart}
        error={faults.tellApart}
        onChange={({ target }) => setTellApart(target.value)}
      />
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep this tool'}
      </Button>
    </form>
  )
}

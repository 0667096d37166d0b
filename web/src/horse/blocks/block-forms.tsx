import type { Block } from '@still-pine/contract'
import {
  againstOpening,
  BLOCK_KINDS,
  BLOCK_MEANING,
  BLOCK_WORDS,
  type BlockKind,
} from '@still-pine/core/blocks'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Picker } from '../../shared/pickers'
import { Button } from '../../ui/button'
import { Field, INPUT, Notice } from '../../ui/field'

/** Keeps a block and says what went wrong, if anything did. */
export const useKeepBlock = (horseId: string) => {
  const [put, state] = useCommand('putBlock')
  const keep = async (
    id: string,
    block: Omit<Block, 'id' | 'byName' | 'snapshot'>,
  ): Promise<Block | null> => {
    const { kind, from, until, worries, reward, note, version } = block
    const done = await put({
      horseId,
      blockId: id,
      body: { kind, from, until, worries, reward, note, version },
    })
    if (done.error) toast.error(wordsFor(done.error))
    return done.data ?? null
  }
  return { keep, isLoading: state.isLoading }
}

interface OpenProps {
  readonly horseId: string
  readonly born: string | null
  readonly today: string
  /** The kind that would come next. */
  readonly likely: BlockKind
  readonly earliest: string | null
}

export const OpenBlock = ({ horseId, born, today, likely, earliest }: OpenProps) => {
  const [kind, setKind] = useState<BlockKind>(likely)
  const [from, setFrom] = useState(today)
  const [id] = useState(() => uuid())
  const { keep, isLoading } = useKeepBlock(horseId)
  const warning = againstOpening(kind, born, from)
  return (
    <form
      className="flex max-w-2xl flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void keep(id, { kind, from, until: null, worries: '', reward: '', note: '', version: 0 })
      }}
    >
      <h3 className="text-xl">Open a block</h3>
      <div className="flex flex-wrap gap-3">
        <Picker label="What it is" value={kind} onPick={(value) => setKind(value as BlockKind)}>
          {BLOCK_KINDS.map((one) => (
            <option key={one} value={one}>
              {BLOCK_WORDS[one]}
            </option>
          ))}
        </Picker>
        <Field label="From">
          {(props) => (
            <input
              type="date"
              className={INPUT}
              max={today}
              {...(earliest ? { min: earliest } : {})}
              value={from}
              onChange={(e) => setFrom(e.target.value)}
              {...props}
            />
          )}
        </Field>
      </div>
      <p className="text-quiet">{BLOCK_MEANING[kind]}.</p>
      {warning && <Notice>{warning}</Notice>}
      <div>
        <Button look="act" type="submit" disabled={isLoading || !from}>
          Open it
        </Button>
      </div>
    </form>
  )
}

/** A block closed by mistake is open again as if it never had been; only on the day it was closed. */
export const OpenAgain = ({ horseId, block }: { horseId: string; block: Block }) => {
  const { keep, isLoading } = useKeepBlock(horseId)
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-ink bg-panel px-4 py-2">
      {BLOCK_WORDS[block.kind]} was closed today.
      <Button disabled={isLoading} onClick={() => void keep(block.id, { ...block, until: null })}>
        Open it again
      </Button>
    </p>
  )
}

export const CloseBlock = ({ horseId, block, today }: { horseId: string; block: Block; today: string }) => {
  const [until, setUntil] = useState(today)
  const [worries, setWorries] = useState(block.worries)
  const [reward, setReward] = useState(block.reward)
  const [note, setNote] = useState(block.note)
  const { keep, isLoading } = useKeepBlock(horseId)
  const close = async (): Promise<void> => {
    const closed = await keep(block.id, { ...block, until, worries, reward, note })
    if (closed)
      toast(`${BLOCK_WORDS[block.kind]} is closed, and how it stands is frozen.`, {
        action: { label: 'Undo', onClick: () => void keep(block.id, { ...closed, until: null }) },
      })
  }
  const lines = [
    ['What worries it', worries, setWorries],
    ['What reward works', reward, setReward],
    ['Anything else', note, setNote],
  ] as const
  return (
    <form
      className="flex max-w-2xl flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void close()
      }}
    >
      <h3 className="text-xl">Close {BLOCK_WORDS[block.kind].toLowerCase()}</h3>
      <p className="text-quiet">
        How every track stands on that day is frozen, to print and to start the next block from, years later
        too.
      </p>
      <Field label="Last day">
        {(props) => (
          <input
            type="date"
            className={`${INPUT} max-w-60`}
            min={block.from}
            max={today}
            value={until}
            onChange={(e) => setUntil(e.target.value)}
            {...props}
          />
        )}
      </Field>
      {lines.map(([label, value, set]) => (
        <Field key={label} label={label}>
          {(props) => (
            <textarea
              className={INPUT}
              rows={2}
              value={value}
              onChange={(e) => set(e.target.value)}
              {...props}
            />
          )}
        </Field>
      ))}
      <div>
        <Button look="act" type="submit" disabled={isLoading || !until}>
          Close it and freeze
        </Button>
      </div>
    </form>
  )
}

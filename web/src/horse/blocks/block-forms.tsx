import { zodResolver } from '@hookform/resolvers/zod'
import { PutBlock, type Block } from '@still-pine/contract'
import {
  againstOpening,
  BLOCK_KINDS,
  BLOCK_MEANING,
  BLOCK_WORDS,
  type BlockKind,
} from '@still-pine/core/blocks'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Notice } from '../../ui/field'
import { ChoiceField, LinesField, TextField } from '../../ui/inputs'

/** Saves a block and says what went wrong, if anything did. */
export const useSaveBlock = (horseId: string) => {
  const [put, state] = useCommand('putBlock')
  const save = async (blockId: string, body: PutBlock): Promise<Block | null> => {
    const done = await put({ horseId, blockId, body })
    if (done.error) toast.error(wordsFor(done.error))
    return done.data ?? null
  }
  return { save, isLoading: state.isLoading }
}

/** A block as it is put again: what it says, without who said it. */
const formOf = ({ kind, from, until, worries, reward, note, version }: Block): PutBlock => ({
  kind,
  from,
  until,
  worries,
  reward,
  note,
  version,
})

const WORDS = BLOCK_KINDS.map((kind) => [kind, BLOCK_WORDS[kind]] as const)

interface OpenProps {
  readonly horseId: string
  readonly born: string | null
  readonly today: string
  /** The kind that would come next. */
  readonly likely: BlockKind
  readonly earliest: string | null
}

export const OpenBlock = ({ horseId, born, today, likely, earliest }: OpenProps) => {
  const [id] = useState(() => uuid())
  const { save, isLoading } = useSaveBlock(horseId)
  const { register, handleSubmit, watch, formState } = useForm<PutBlock>({
    resolver: zodResolver(PutBlock),
    defaultValues: { kind: likely, from: today, until: null, worries: '', reward: '', note: '', version: 0 },
  })
  const [kind, from] = watch(['kind', 'from'])
  const warning = againstOpening(kind, born, from)
  const open = handleSubmit((block) => save(id, block))
  return (
    <form className="flex max-w-2xl flex-col gap-3" noValidate onSubmit={(event) => void open(event)}>
      <h3 className="text-xl">Open a block</h3>
      <div className="flex flex-wrap gap-3">
        <ChoiceField label="What it is" words={WORDS} {...register('kind')} />
        <TextField
          label="From"
          type="date"
          max={today}
          {...(earliest ? { min: earliest } : {})}
          error={formState.errors.from?.message}
          {...register('from')}
        />
      </div>
      <p className="text-quiet">{BLOCK_MEANING[kind]}.</p>
      {warning && <Notice>{warning}</Notice>}
      <div>
        <Button look="act" type="submit" disabled={isLoading}>
          Open it
        </Button>
      </div>
    </form>
  )
}

/** A block closed by mistake is open again as if it never had been; only on the day it was closed. */
export const OpenAgain = ({ horseId, block }: { horseId: string; block: Block }) => {
  const { save, isLoading } = useSaveBlock(horseId)
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-ink bg-panel px-4 py-2">
      {BLOCK_WORDS[block.kind]} was closed today.
      <Button disabled={isLoading} onClick={() => void save(block.id, { ...formOf(block), until: null })}>
        Open it again
      </Button>
    </p>
  )
}

export const CloseBlock = ({ horseId, block, today }: { horseId: string; block: Block; today: string }) => {
  const { save, isLoading } = useSaveBlock(horseId)
  const { register, handleSubmit, formState } = useForm<PutBlock>({
    resolver: zodResolver(PutBlock),
    defaultValues: { ...formOf(block), until: today },
  })
  const close = handleSubmit(async (told) => {
    const closed = await save(block.id, told)
    if (closed)
      toast(`${BLOCK_WORDS[block.kind]} is closed, and how it stands is frozen.`, {
        action: { label: 'Undo', onClick: () => void save(block.id, { ...formOf(closed), until: null }) },
      })
  })
  return (
    <form className="flex max-w-2xl flex-col gap-3" noValidate onSubmit={(event) => void close(event)}>
      <h3 className="text-xl">Close {BLOCK_WORDS[block.kind].toLowerCase()}</h3>
      <p className="text-quiet">
        How every track stands on that day is frozen, to print and to start the next block from, years later
        too.
      </p>
      <TextField
        label="Last day"
        type="date"
        min={block.from}
        max={today}
        error={formState.errors.until?.message}
        {...register('until')}
      />
      <LinesField label="What worries it" {...register('worries')} />
      <LinesField label="What reward works" {...register('reward')} />
      <LinesField label="Anything else" {...register('note')} />
      <div>
        <Button look="act" type="submit" disabled={isLoading}>
          Close it and freeze
        </Button>
      </div>
    </form>
  )
}

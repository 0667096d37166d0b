import { zodResolver } from '@hookform/resolvers/zod'
import { PutCheck, type BodyOf, type Check } from '@still-pine/contract'
import { useForm } from 'react-hook-form'
import type { z } from 'zod'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Notice } from '../../ui/field'
import { ChoiceField, TextField, Tick } from '../../ui/inputs'

type Form = BodyOf<'putCheck'>

const KINDS = [
  ['mouth', 'Mouth looked at'],
  ['saddle', 'Saddle fit checked'],
  ['veterinary-hold', 'Veterinary hold'],
  ['vet-look', 'The vet looked: fit to work'],
  ['feet', 'Feet done'],
  ['worming', 'Wormed'],
] as const

export const kindWord = (kind: string): string => KINDS.find(([key]) => key === kind)?.[1] ?? kind

export const LEAVES_WORDS = {
  nothing: 'nothing at all',
  handling: 'handling where it stands',
  walking: 'handling and walking in hand',
} as const

const blank = (today: string): Form => ({
  kind: 'mouth',
  on: today,
  until: null,
  passed: true,
  leaves: 'nothing',
  note: '',
})

/** A check as it is put again: what it says, without who said it. */
export const formOfCheck = ({ kind, on, until, passed, leaves, note }: Check): Form => ({
  kind,
  on,
  until,
  passed,
  leaves,
  note,
})

interface Props {
  readonly horseId: string
  readonly today: string
  /** The one to correct; what it said before stays to be read. */
  readonly told: Check | null
  readonly onDone: () => void
}

/** Records a look that somebody took, or a hold that a vet put on; or corrects one. */
export const CheckForm = ({ horseId, today, told, onDone }: Props) => {
  const [putCheck, { error, isLoading }] = useCommand('putCheck')
  const { register, handleSubmit, watch, formState } = useForm<Form, unknown, z.output<typeof PutCheck>>({
    resolver: zodResolver(PutCheck),
    defaultValues: {
      ...blank(today),
      ...(told ? { ...formOfCheck(told), leaves: told.leaves ?? 'nothing' } : {}),
      because: '',
    },
  })
  const { errors } = formState
  const [kind, on] = watch(['kind', 'on'])
  const isHold = kind === 'veterinary-hold'
  const record = handleSubmit(async (form) => {
    const of = isHold ? { passed: false, leaves: form.leaves } : { leaves: null }
    const done = await putCheck({ horseId, checkId: told?.id ?? uuid(), body: { ...form, ...of } })
    if (done.error) return
    toast(`${told ? 'Corrected' : 'Recorded'}: ${kindWord(form.kind).toLowerCase()}.`)
    onDone()
  })
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void record(event)}>
      <ChoiceField label="What" words={KINDS} {...register('kind')} />
      <div className="grid gap-3 desk:grid-cols-2">
        <TextField
          label={isHold ? 'From' : 'On'}
          type="date"
          max={today}
          error={errors.on?.message}
          {...register('on')}
        />
        <TextField
          label={isHold ? 'To' : 'Next due'}
          hint="May stay empty."
          type="date"
          min={on}
          error={errors.until?.message}
          {...register('until', { setValueAs: (day: string | null) => day || null })}
        />
      </div>
      {isHold ? (
        <ChoiceField
          label="It leaves"
          hint="As the vet said; nothing where it was not said."
          words={Object.entries(LEAVES_WORDS)}
          {...register('leaves')}
        />
      ) : (
        <Tick {...register('passed')}>All was well</Tick>
      )}
      <TextField label="Note" {...register('note')} />
      {told && (
        <TextField
          label="Why it is corrected"
          hint="What it said before stays to be read."
          maxLength={200}
          {...register('because')}
        />
      )}
      <Button look="act" type="submit" disabled={isLoading}>
        {told ? 'Correct' : 'Record it'}
      </Button>
      {error && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </form>
  )
}

import type { BodyOf, Check } from '@still-pine/contract'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Field, INPUT, Notice } from '../../ui/field'

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
  leaves: null,
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
  readonly told?: Check | null
  readonly onDone?: () => void
}

/** Records a look that somebody took, or a hold that a vet put on; or corrects one. */
export const CheckForm = ({ horseId, today, told = null, onDone }: Props) => {
  const [form, setForm] = useState<Form>(told ? formOfCheck(told) : blank(today))
  const [because, setBecause] = useState('')
  const [putCheck, { error, isLoading }] = useCommand('putCheck')
  const change = (patch: Partial<Form>): void => setForm({ ...form, ...patch })
  const isHold = form.kind === 'veterinary-hold'
  const record = async (): Promise<void> => {
    const done = await putCheck({
      horseId,
      checkId: told?.id ?? uuid(),
      body: {
        ...form,
        passed: isHold ? false : form.passed,
        leaves: isHold ? (form.leaves ?? 'nothing') : null,
        because,
      },
    })
    if (done.error) return
    toast(`${told ? 'Corrected' : 'Recorded'}: ${kindWord(form.kind).toLowerCase()}.`)
    setForm(blank(today))
    onDone?.()
  }
  return (
    <form
      className="no-print flex max-w-xl flex-col gap-3 border-t-4 border-ink bg-panel p-4"
      onSubmit={(event) => {
        event.preventDefault()
        void record()
      }}
    >
      <h2 className="text-lg">{told ? 'Correct a check' : 'Record a check'}</h2>
      <Field label="What">
        {(props) => (
          <select
            className={INPUT}
            value={form.kind}
            onChange={(e) => change({ kind: e.target.value as typeof form.kind })}
            {...props}
          >
            {KINDS.map(([key, word]) => (
              <option key={key} value={key}>
                {word}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="grid gap-3 desk:grid-cols-2">
        <Field label={isHold ? 'From' : 'On'}>
          {(props) => (
            <input
              type="date"
              max={today}
              className={INPUT}
              value={form.on}
              onChange={(e) => change({ on: e.target.value })}
              {...props}
            />
          )}
        </Field>
        <Field label={isHold ? 'To' : 'Next due'} hint="May stay empty.">
          {(props) => (
            <input
              type="date"
              min={form.on}
              className={INPUT}
              value={form.until ?? ''}
              onChange={(e) => change({ until: e.target.value || null })}
              {...props}
            />
          )}
        </Field>
      </div>
      {isHold && (
        <Field label="It leaves" hint="As the vet said; nothing where it was not said.">
          {(props) => (
            <select
              className={INPUT}
              value={form.leaves ?? 'nothing'}
              onChange={(e) => change({ leaves: e.target.value as Form['leaves'] })}
              {...props}
            >
              {Object.entries(LEAVES_WORDS).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {!isHold && (
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={form.passed}
            onChange={(e) => change({ passed: e.target.checked })}
          />
          All was well
        </label>
      )}
      <Field label="Note">
        {(props) => (
          <input
            className={INPUT}
            value={form.note}
            onChange={(e) => change({ note: e.target.value })}
            {...props}
          />
        )}
      </Field>
      {told && (
        <Field label="Why it is corrected" hint="What it said before stays to be read.">
          {(props) => (
            <input
              className={INPUT}
              value={because}
              maxLength={200}
              onChange={(e) => setBecause(e.target.value)}
              {...props}
            />
          )}
        </Field>
      )}
      <div className="flex gap-3">
        <Button type="submit" className="self-start" disabled={isLoading}>
          {told ? 'Correct' : 'Record it'}
        </Button>
        {told && (
          <Button look="quiet" onClick={() => onDone?.()}>
            Cancel
          </Button>
        )}
      </div>
      {error && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </form>
  )
}

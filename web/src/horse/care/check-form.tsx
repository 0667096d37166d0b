import type { BodyOf } from '@still-pine/contract'
import { useState } from 'react'
import { toast } from 'sonner'
import { v7 as uuid } from 'uuid'
import { usePutCheckMutation, wordsFor } from '../../app/api'
import { Button } from '../../ui/button'
import { Field, INPUT, Notice } from '../../ui/field'

const KINDS = [
  ['mouth', 'Mouth looked at'],
  ['saddle', 'Saddle fit checked'],
  ['veterinary-hold', 'Veterinary hold'],
  ['feet', 'Feet done'],
  ['worming', 'Wormed'],
] as const

export const kindWord = (kind: string): string => KINDS.find(([key]) => key === kind)?.[1] ?? kind

/** Records a look that somebody took, or a hold that a vet put on. */
export const CheckForm = ({ horseId, today }: { horseId: string; today: string }) => {
  const [form, setForm] = useState<BodyOf<'putCheck'>>({
    kind: 'mouth',
    on: today,
    until: null,
    passed: true,
    note: '',
  })
  const [putCheck, { error, isLoading }] = usePutCheckMutation()
  const change = (patch: Partial<BodyOf<'putCheck'>>): void => setForm({ ...form, ...patch })
  const isHold = form.kind === 'veterinary-hold'
  const record = async (): Promise<void> => {
    const done = await putCheck({
      horseId,
      id: uuid(),
      body: { ...form, passed: isHold ? false : form.passed },
    })
    if (done.error) return
    toast(`Recorded: ${kindWord(form.kind).toLowerCase()}.`)
    setForm({ ...form, note: '', until: null, passed: true })
  }
  return (
    <form
      className="no-print flex max-w-xl flex-col gap-3 border-t-4 border-ink bg-panel p-4"
      onSubmit={(event) => {
        event.preventDefault()
        void record()
      }}
    >
      <h2 className="text-lg">Record a check</h2>
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
      <Button type="submit" className="self-start" disabled={isLoading}>
        Record it
      </Button>
      {error && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </form>
  )
}

import type { BodyOf } from '@still-pine/contract'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useCareQuery, usePutCheckMutation, wordsFor } from '../app/api'
import { Button } from '../ui/button'
import { Field, INPUT, Notice } from '../ui/field'
import { Loading } from '../ui/loading'
import { longDay } from '../ui/words'
import { HorseHeader } from './horse-header'
import { useHorse } from './use-horse'

const KINDS = [
  ['mouth', 'Mouth looked at'],
  ['saddle', 'Saddle fit checked'],
  ['veterinary-hold', 'Veterinary hold'],
  ['feet', 'Feet done'],
  ['worming', 'Wormed'],
] as const

const kindWord = (kind: string): string => KINDS.find(([key]) => key === kind)?.[1] ?? kind

const CheckForm = ({ horseId, today }: { horseId: string; today: string }) => {
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
  return (
    <form
      className="no-print flex max-w-xl flex-col gap-3 border-t-4 border-ink bg-panel p-4"
      onSubmit={(event) => {
        event.preventDefault()
        void putCheck({ horseId, id: uuid(), body: { ...form, passed: isHold ? false : form.passed } })
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

/** Checks, holds and incidents: what the gates’ stops read. */
const CarePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useCareQuery(horseId)
  if (!line || !program) return <Loading error={error} retry={retry} />
  const stepName = (key: string | null): string => program.steps.find((step) => step.key === key)?.name ?? ''
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <div className="grid gap-6 desk:grid-cols-2">
        <section>
          <h2 className="mb-2 text-2xl">Checks</h2>
          {data?.checks.length === 0 && (
            <p>Nothing recorded. Gates before the first bit and the first saddle ask for a look.</p>
          )}
          <ul>
            {data?.checks.map((check) => (
              <li key={check.id} className="border-t border-line py-2">
                <b>{kindWord(check.kind)}</b>, {longDay(check.on)}
                {check.until && `, to ${longDay(check.until)}`}
                {check.kind !== 'veterinary-hold' && (check.passed ? ': all well' : ': not right')}
                {check.note && `. ${check.note}`}
              </li>
            ))}
          </ul>
          <h2 className="mt-6 mb-2 text-2xl">Incidents</h2>
          {data?.incidents.length === 0 && <p>None. In the pen, Danger records one.</p>}
          <ul>
            {data?.incidents.map((incident) => (
              <li key={incident.id} className="border-t border-line py-2">
                <b>{incident.kind}</b>, {longDay(incident.on)}
                {incident.serious && ', a person was up or the horse fell'}. {stepName(incident.step)}.{' '}
                {incident.before}
              </li>
            ))}
          </ul>
        </section>
        <CheckForm horseId={horseId} today={line.day} />
      </div>
    </main>
  )
}

export default CarePage

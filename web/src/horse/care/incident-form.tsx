import { PutIncident, type Incident, type IncidentTold } from '@still-pine/contract'
import { sidesOf, stepOf, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../../app/client'
import { keepHere } from '../../offline/keep'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { HURT_WORDS, INCIDENT_WORDS } from '../../shared/incident-words'

type Form = IncidentTold

interface Props {
  readonly horseId: string
  readonly today: string
  readonly program: Program
  /** The one to tell more of or to correct; what it said before stays to be read. */
  readonly told: Incident | null
  readonly onDone: () => void
}

const blank = (today: string): Form => ({
  kind: 'kick',
  on: today,
  step: null,
  side: null,
  rung: null,
  mounted: false,
  fell: false,
  hurt: 'none',
  where: '',
  before: '',
  after: '',
})

/** An incident as it is put again: what it says, without who said it. */
export const formOfIncident = ({
  id: _id,
  withdrawn: _withdrawn,
  earlier: _earlier,
  ...form
}: Incident): Form => form

/** Tells an incident: what, where, on which side, in which step, what was before and what came after. */
export const IncidentForm = ({ horseId, today, program, told, onDone }: Props) => {
  const [form, setForm] = useState<Form>(told ? formOfIncident(told) : blank(today))
  const [because, setBecause] = useState('')
  const { data: me } = useQuery('me')
  const change = (patch: Partial<Form>): void => setForm({ ...form, ...patch })
  const step = form.step ? stepOf(program, form.step) : undefined
  const sides = step ? sidesOf(step).filter((side) => side !== 'none') : (['left', 'right'] as const)
  const keep = async (): Promise<void> => {
    const item = {
      do: 'incident' as const,
      id: told?.id ?? uuid(),
      horseId,
      incident: PutIncident.parse({ ...form, because }),
    }
    if (!me || !(await keepHere(me.person.id, horseId, item))) return
    toast(`Kept: ${INCIDENT_WORDS[form.kind].toLowerCase()}.`)
    onDone()
  }
  const words = (label: string, key: 'where' | 'before' | 'after', hint: string) => (
    <Field label={label} hint={hint}>
      {(props) => (
        <textarea
          className={INPUT}
          rows={2}
          value={form[key]}
          onChange={(event) => change({ [key]: event.target.value })}
          {...props}
        />
      )}
    </Field>
  )
  const tick = (words: string, key: 'mounted' | 'fell') => (
    <label className="flex min-h-11 items-center gap-3 font-bold">
      <input
        type="checkbox"
        className="size-6"
        checked={form[key] ?? false}
        onChange={(event) => change({ [key]: event.target.checked })}
      />
      {words}
    </label>
  )
  return (
    <form
      className="no-print flex max-w-xl flex-col gap-3 border-t-4 border-stop bg-panel p-4"
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
    >
      <h2 className="text-lg">
        {told
          ? `The ${INCIDENT_WORDS[told.kind].toLowerCase()}: tell more or correct it`
          : 'Record an incident'}
      </h2>
      <>
        <div className="grid gap-3 desk:grid-cols-2">
          <Field label="What happened">
            {(props) => (
              <select
                className={INPUT}
                value={form.kind}
                onChange={(event) => change({ kind: event.target.value as Form['kind'] })}
                {...props}
              >
                {Object.entries(INCIDENT_WORDS).map(([kind, word]) => (
                  <option key={kind} value={kind}>
                    {word}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="On">
            {(props) => (
              <input
                type="date"
                max={today}
                required
                className={INPUT}
                value={form.on}
                onChange={(event) => change({ on: event.target.value })}
                {...props}
              />
            )}
          </Field>
        </div>
        <Field label="In which step" hint="What it closes opens again when the right first asks have passed.">
          {(props) => (
            <select
              className={INPUT}
              value={form.step ?? ''}
              onChange={(event) => change({ step: event.target.value || null, side: null })}
              {...props}
            >
              <option value="">outside the work</option>
              {program.steps.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
        {tick('Somebody was riding, or had weight on it', 'mounted')}
        {tick('The horse fell', 'fell')}
        <Field label="Is anyone hurt?">
          {(props) => (
            <select
              className={INPUT}
              value={form.hurt}
              onChange={(event) => change({ hurt: event.target.value as NonNullable<Form['hurt']> })}
              {...props}
            >
              {Object.entries(HURT_WORDS).map(([hurt, word]) => (
                <option key={hurt} value={hurt}>
                  {word}
                </option>
              ))}
            </select>
          )}
        </Field>
      </>
      {sides.length > 0 && (
        <Field label="Side of the horse">
          {(props) => (
            <select
              className={INPUT}
              value={form.side ?? ''}
              onChange={(event) => change({ side: (event.target.value || null) as Form['side'] })}
              {...props}
            >
              <option value="">neither</option>
              {sides.map((side) => (
                <option key={side} value={side}>
                  {side}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {words('Where', 'where', 'Which pen, which corner, what stood there.')}
      {words('Before it', 'before', 'What was being asked, what was seen first.')}
      {words('After it', 'after', 'What was done, how the horse came out of it.')}
      {told && (
        <Field label="Why it is corrected" hint="Empty where more is told and nothing was wrong.">
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
      )}
      <div className="flex gap-3">
        <Button type="submit">{told ? 'Correct' : 'Record the incident'}</Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  )
}

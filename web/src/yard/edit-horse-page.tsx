import { GONE, type Horse } from '@still-pine/contract'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { toast } from '../ui/toast'
import { useCommand, wordsFor } from '../app/client'
import { useHorse } from '../shared/use-horse'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'
import { Loading } from '../shared/loading'
import { fullDay } from '../shared/words'
import { HorseFields } from './horse-form'
import { NotYours } from '../shared/not-yours'
import { useMay } from '../shared/use-may'

export const GONE_WORDS: Record<(typeof GONE)[number], string> = {
  sold: 'sold',
  home: 'gone home',
  died: 'died',
  other: 'left',
}

/** A horse leaves the string with a reason, keeps all its history, and can come back. */
const Leaving = ({ horse, today }: { horse: Horse; today: string }) => {
  const [reason, setReason] = useState<(typeof GONE)[number]>('home')
  const [put, { isLoading }] = useCommand('putArchived')
  const say = async (archived: Horse['archived']): Promise<void> => {
    const done = await put({ horseId: horse.id, body: { archived, version: horse.version } })
    if (done.error) toast.error(wordsFor(done.error))
    else if (archived)
      toast(`${horse.name} has left the string. Nothing of it is lost.`, {
        action: {
          label: 'Undo',
          onClick: () =>
            void put({ horseId: horse.id, body: { archived: null, version: done.data.version } }),
        },
      })
  }
  if (horse.archived)
    return (
      <section className="flex flex-wrap items-center gap-3 border-l-8 border-worn bg-panel px-4 py-2 text-lg">
        {horse.name}: {GONE_WORDS[horse.archived.reason]}, {fullDay(horse.archived.on)}. {horse.archived.note}
        <Button disabled={isLoading} onClick={() => void say(null)}>
          It is back
        </Button>
      </section>
    )
  return (
    <section className="flex flex-wrap items-end gap-3 border-t-4 border-ink bg-panel p-3">
      <Field label={`${horse.name} has left`} hint="Its history stays, and it can come back.">
        {(props) => (
          <select
            className={INPUT}
            value={reason}
            onChange={(event) => setReason(event.target.value as typeof reason)}
            {...props}
          >
            {GONE.map((one) => (
              <option key={one} value={one}>
                {GONE_WORDS[one]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Button disabled={isLoading} onClick={() => void say({ on: today, reason, note: '' })}>
        Take it out of the string
      </Button>
    </section>
  )
}

/** Everything that is written of a horse can be corrected. */
const EditHorsePage = () => {
  const { line, error, retry } = useHorse()
  const navigate = useNavigate()
  const [putHorse, { error: failed, isLoading }] = useCommand('putHorse')
  const mayEdit = useMay('edit-horse')
  if (!line) return <Loading error={error} retry={retry} />
  const { horse, day } = line
  if (!mayEdit) return <NotYours />
  return (
    <main className="mx-auto flex w-full max-w-2xl flex-col gap-5 px-4 py-4">
      <h1 className="text-3xl">
        <Link to={`/horses/${horse.id}`} className="underline decoration-2 underline-offset-4">
          {horse.name}
        </Link>
        : who it is
      </h1>
      <HorseFields
        key={horse.version}
        told={horse}
        today={day}
        save="Save"
        isBusy={isLoading}
        error={failed}
        put={async (form) => {
          const done = await putHorse({ horseId: horse.id, body: { ...form, version: horse.version } })
          if (!done.error) void navigate(`/horses/${horse.id}`)
          return done.error
        }}
      />
      <Leaving horse={horse} today={day} />
    </main>
  )
}

export default EditHorsePage

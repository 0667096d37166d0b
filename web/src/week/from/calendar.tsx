import type { ReplyOf } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { useCommand, useQuery, wordsFor } from '../../app/client'
import { longDay } from '../../shared/words'
import { readBusy } from '../../threads/busy'
import { Button } from '../../ui/button'
import { CopyLine } from '../../ui/copy-line'
import { Field, INPUT, Notice } from '../../ui/field'
import { toast } from '../../ui/toast'

type Person = ReplyOf<'plannedWeek'>['people'][number]

const LARGEST = 5_000_000

/** When somebody is busy, from their own calendar. */
const BusyUpload = ({ person }: { person: Person }) => {
  const { data: me } = useQuery('me')
  const [put] = useCommand('putBusy')
  const [says, setSays] = useState<string | null>(null)
  const [leftOut, setLeftOut] = useState<readonly string[]>([])
  const read = async (file: File): Promise<void> => {
    setLeftOut([])
    if (file.size > LARGEST) return setSays('It is over 5 MB: nothing of it was kept.')
    setSays('Reading …')
    const told = await readBusy(await file.text(), { zone: me!.yard.timeZone, from: me!.today }).catch(
      () => ({ refused: 'This file cannot be read: nothing of it was kept.' }) as const,
    )
    if ('refused' in told) return setSays(told.refused)
    const { error } = await put({
      personId: person.id,
      body: { hash: told.hash, times: [...told.busy] },
    })
    setLeftOut(told.leftOut)
    setSays(
      error ? wordsFor(error) : `${count(told.busy.length, 'busy time')} kept, for the next eight weeks.`,
    )
  }
  const clear = async (): Promise<void> => {
    const { error } = await put({ personId: person.id, body: { hash: '0'.repeat(64), times: [] } })
    setSays(error ? wordsFor(error) : 'Nothing is kept of it any more.')
  }
  return (
    <section className="flex flex-col items-start gap-2">
      <h3 className="text-lg font-bold">Busy times</h3>
      <Field
        label="A calendar file (.ics)"
        hint="Of each time only start and end are kept; a new file takes the stead of the last."
      >
        {(props) => (
          <input
            type="file"
            accept=".ics,text/calendar"
            className={INPUT}
            {...props}
            onChange={({ target }) => target.files?.[0] && void read(target.files[0])}
          />
        )}
      </Field>
      {says !== null && <Notice>{says}</Notice>}
      {leftOut.length > 0 && (
        <ul className="text-quiet">
          {leftOut.slice(0, 10).map((words) => (
            <li key={words}>Left out: {words}</li>
          ))}
        </ul>
      )}
      <Button look="quiet" onClick={() => void clear()}>
        Forget the busy times
      </Button>
    </section>
  )
}

/** An address by which a calendar reads what is planned for somebody: shown once, ended at any time. */
const FeedAddress = ({ person }: { person: Person }) => {
  const [make, { data, error, isLoading }] = useCommand('makeFeed')
  const [end] = useCommand('endFeed')
  const address = data && `${window.location.origin}/feeds/${data.token}.ics`
  const stop = async (): Promise<void> => {
    const done = await end({ personId: person.id, body: {} })
    toast(done.error ? wordsFor(done.error) : `${person.name}’s calendar has no address any more.`)
  }
  return (
    <section className="flex flex-col items-start gap-2">
      <h3 className="text-lg font-bold">In a calendar</h3>
      <p>
        {person.feedSince === null
          ? `${person.name}’s visits can be read by any calendar. Whoever has the address can read them; owners and reasons never stand in it.`
          : `Read by an address since ${longDay(person.feedSince.slice(0, 10))}. A new one ends it.`}
      </p>
      {address && <CopyLine label="Add this to a calendar; it is not shown again" text={address} />}
      {error !== undefined && <Notice tone="stop">{wordsFor(error)}</Notice>}
      <div className="flex flex-wrap gap-2">
        <Button disabled={isLoading} onClick={() => void make({ personId: person.id, body: {} })}>
          {person.feedSince === null ? 'Make an address' : 'Make a new address'}
        </Button>
        {person.feedSince !== null && (
          <Button look="quiet" onClick={() => void stop()}>
            End it
          </Button>
        )}
      </div>
    </section>
  )
}

/** What goes between the week and somebody's own calendar. */
export const Calendar = ({ person }: { person: Person }) => (
  <div className="flex flex-col gap-4 border-t-2 border-ink pt-3">
    <FeedAddress person={person} />
    <BusyUpload person={person} />
  </div>
)

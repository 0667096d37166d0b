import type { ReportLink } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useCommand, useQuery, wordsFor } from '../../app/client'
import { dayOf, plainDay, withDays } from '../../shared/words'
import { Button } from '../../ui/button'
import { CopyLine } from '../../ui/copy-line'
import { TextField } from '../../ui/inputs'
import { toast } from '../../ui/toast'

/** So long a link lasts unless another day is said. */
const USUAL_DAYS = 30

const addressOf = (token: string): string => `${window.location.origin}/report#${token}`

const stateWords = ({ revoked, until, readAt }: ReportLink, today: string): string => {
  if (revoked) return 'revoked'
  const read = readAt ? `read last ${plainDay(dayOf(readAt))}` : 'never read yet'
  return until < today ? `ended ${plainDay(until)}` : `until ${withDays(until)}, ${read}`
}

const LinkRow = ({ link, horseId, today }: { link: ReportLink; horseId: string; today: string }) => {
  const [put, { isLoading }] = useCommand('putReportLink')
  const isGood = !link.revoked && link.until >= today
  const revoke = async (): Promise<void> => {
    const done = await put({ horseId, linkId: link.id, body: { until: link.until, revoked: true } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <li className="flex flex-col gap-2 border-t border-line py-2">
      <span className="flex flex-wrap items-center justify-between gap-3">
        <span>
          Made by {link.byName} on {plainDay(dayOf(link.madeAt))}: {stateWords(link, today)}
        </span>
        {isGood && (
          <Button disabled={isLoading} onClick={() => void revoke()}>
            Revoke
          </Button>
        )}
      </span>
      {isGood && link.token && (
        <>
          <CopyLine label="The link" text={addressOf(link.token)} />
          <p>
            Its code, to be told apart from it: <b className="text-xl tracking-widest">{link.code}</b>
          </p>
        </>
      )}
    </li>
  )
}

/** Links by which somebody without a sign-in reads this report: each ends on a day, needs its code and can be revoked. */
export const ReportLinks = ({ horseId, today }: { horseId: string; today: string }) => {
  const { data } = useQuery('reportLinks', { horseId })
  const [put, { isLoading }] = useCommand('putReportLink')
  const [until, setUntil] = useState(() => addDays(today, USUAL_DAYS))
  const make = async (): Promise<void> => {
    const done = await put({ horseId, linkId: uuid(), body: { until } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <section className="no-print flex flex-col gap-3 border-t-4 border-ink bg-panel p-4">
      <h2 className="text-2xl">Give it to somebody</h2>
      <p className="max-w-prose">
        Whoever has the link and its code reads this report, as it stands on the day they look, and nothing
        else of the yard. Send the two by different ways.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="It ends on"
          type="date"
          min={today}
          value={until}
          onChange={(event) => setUntil(event.target.value)}
        />
        <Button look="act" disabled={isLoading || until === ''} onClick={() => void make()}>
          Make a link
        </Button>
      </div>
      <ul>
        {data?.links.map((link) => (
          <LinkRow key={link.id} link={link} horseId={horseId} today={today} />
        ))}
      </ul>
    </section>
  )
}

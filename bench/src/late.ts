import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { appUrl, makePool } from '../../server/src/data/pool'
import { median, percentile, timedAsync, type Figure } from './measure'
import { cookieOf, runApp } from './running'

const HORSES = 20
const DAYS_BACK = 35

interface Session {
  readonly horseId: string
  readonly id: string
  readonly at: Date
  readonly step: string
  readonly side: string
}

/** One answer of last month that comes only now, in horses of a long history: sent, re-made and told. */
export const lateFigures = async (
  ownerUrl: string,
  signIn: { email: string; password: string },
  { now, answers }: { now: Date; answers: number },
): Promise<readonly Figure[]> => {
  const { address, end } = await runApp(makePool(appUrl(ownerUrl)), now)
  const cookie = await cookieOf(address, signIn)
  const owner = new pg.Client(ownerUrl)
  await owner.connect()
  const { rows } = await owner.query<Session>(
    `select distinct on (s.horse_id) s.horse_id as "horseId", s.id, a.at + interval '1 second' as at, a.step, a.side
     from pen_session s join answer a on a.session_id = s.id
     where s.day <= $1::date - $2::int order by s.horse_id, s.day desc, a.at limit $3`,
    [now, DAYS_BACK, HORSES],
  )
  await owner.end()
  const times: number[] = []
  for (const { horseId, id: sessionId, at, step, side } of rows) {
    const given = { horseId, sessionId, step, side, rung: 1, grade: 1, calm: 0, at: at.toISOString() }
    const items = [{ do: 'add', answer: { id: randomUUID(), ...given } }]
    times.push(
      await timedAsync(async () => {
        const reply = await fetch(`${address}/answers/batch`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', Cookie: cookie },
          body: JSON.stringify({ sentAt: now.toISOString(), items }),
        })
        const told = (await reply.json()) as { items?: readonly { status: string }[] }
        if (told.items?.[0]?.status !== 'kept') throw new Error(JSON.stringify(told))
      }),
    )
  }
  await end()
  const of = `a late answer of last month in a horse of ${answers}`
  return [
    { name: `${of}: median`, value: median(times), unit: 'ms', aim: '≤ 500' },
    { name: `${of}: p95`, value: percentile(times, 0.95), unit: 'ms', aim: '' },
  ]
}

import { percentile } from './measure'
import { horsesOf, served, type Timed } from './served'

export interface LineTimes {
  readonly first: number
  readonly later: number
  readonly firstSql: number
  readonly laterSql: number
  readonly ratios: { readonly first: number; readonly later: number }
}

const P95 = 0.95

/** The 95th percentile of reading a horse's Line, first of the day and later, against its own bare statements. */
export const lineTimes = (
  ownerUrl: string,
  signIn: { email: string; password: string },
  { now, reads }: { now: Date; reads: number },
): Promise<LineTimes> =>
  served(ownerUrl, signIn, {
    now,
    work: async ({ owner, timed }) => {
      const horses = await horsesOf(owner, signIn.email, reads)
      const first: Timed[] = []
      const later: Timed[] = []
      await timed(`/horses/${horses[0]!}/line`)
      for (const id of horses) {
        const path = `/horses/${id}/line`
        const forget = async (): Promise<void> => {
          for (const table of ['horse_day'])
            await owner.query(`delete from ${table} where horse_id = $1`, [id])
        }
        await forget()
        // Its own writing is done again on rows that are there by now: the same statements, a little less to write.
        first.push(await timed(path, forget))
        later.push(await timed(path))
      }
      const p95 = (times: readonly Timed[], of: keyof Timed): number =>
        percentile(
          times.map((time) => time[of]),
          P95,
        )
      return {
        first: p95(first, 'ms'),
        later: p95(later, 'ms'),
        firstSql: p95(first, 'sql'),
        laterSql: p95(later, 'sql'),
        ratios: {
          first: p95(first, 'ms') / p95(first, 'sql'),
          later: p95(later, 'ms') / p95(later, 'sql'),
        },
      }
    },
  })

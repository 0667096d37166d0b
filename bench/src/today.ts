import { percentile, type Figure } from './measure'
import { served, type Timed } from './served'

const P95 = 0.95
const READS = 40
const LOOK_EVERY_MS = 200

/** Today of a whole yard: on a cold morning with nothing judged yet, and then warm, against its own bare statements. */
export const todayFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
  now: Date,
): Promise<readonly Figure[]> =>
  served(ownerUrl, signIn, {
    now,
    work: async ({ owner, timed }) => {
      const judged = async (): Promise<number> =>
        (await owner.query<{ n: number }>('select count(*)::int as n from horse_day')).rows[0]!.n
      const horses = (await owner.query<{ n: number }>('select count(*)::int as n from horse')).rows[0]!.n
      await timed('/me')
      await owner.query('delete from horse_day')
      const cold = await timed('/today')
      while ((await judged()) < horses) await new Promise((resolve) => setTimeout(resolve, LOOK_EVERY_MS))
      await timed('/today')
      const warm: Timed[] = []
      for (let n = 0; n < READS; n++) warm.push(await timed('/today'))
      const p95 = (of: 'ms' | 'sql'): number =>
        percentile(
          warm.map((one) => one[of]),
          P95,
        )
      return [
        { name: `Today of ${horses} horses, nothing judged yet`, value: cold.ms, unit: 'ms', aim: '≤ 2000' },
        { name: `Today of ${horses} horses, warm: p95`, value: p95('ms'), unit: 'ms', aim: '≤ 150' },
        {
          name: `Today of ${horses} horses, warm: p95 to bare SQL`,
          value: p95('ms') / p95('sql'),
          unit: '×',
          aim: '≤ 2',
        },
      ]
    },
  })

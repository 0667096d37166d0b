import { percentile, type Figure } from './measure'
import { horsesOf, served, type Timed } from './served'

const P95 = 0.95
const HORSES = 40
const READS_OF_THE_YARD = 5

/** How long the routes that evidence is read from take, against their own bare statements. */
export const readingFigures = (
  ownerUrl: string,
  signIn: { email: string; password: string },
  now: Date,
): Promise<readonly Figure[]> =>
  served(ownerUrl, signIn, {
    now,
    work: async ({ owner, timed }) => {
      const horses = await horsesOf(owner, signIn.email, HORSES)
      const figures = async (name: string, paths: readonly string[]): Promise<readonly Figure[]> => {
        const times: Timed[] = []
        await timed(paths[0]!)
        for (const path of paths) times.push(await timed(path))
        const [ms, sql] = (['ms', 'sql'] as const).map((of) =>
          percentile(
            times.map((time) => time[of]),
            P95,
          ),
        )
        return [
          { name: `${name}: p95`, value: ms!, unit: 'ms', aim: '' },
          { name: `${name}: p95 to bare SQL`, value: ms! / sql!, unit: '×', aim: '≤ 2' },
        ]
      }
      const yard = (path: string): readonly string[] => Array.from({ length: READS_OF_THE_YARD }, () => path)
      return [
        ...(await figures(
          'Evidence of a step',
          horses.map((id) => `/horses/${id}/steps/step-back/evidence`),
        )),
        ...(await figures(
          'Evidence of a horse',
          horses.map((id) => `/horses/${id}/evidence`),
        )),
        ...(await figures(
          'Judging of a horse',
          horses.map((id) => `/judging?horseId=${id}`),
        )),
        ...(await figures('Judging of the yard', yard('/judging'))),
        ...(await figures('The yard read', yard('/reading'))),
      ]
    },
  })

import type { Entry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { addDays, type Day } from '@still-pine/core/answer'
import { keptWords } from '@still-pine/core/forecast'
import { knownStep, type Program } from '@still-pine/core/program'
import { reportFrom, reportOf } from '@still-pine/core/report'
import { factsFrom, judgedFrom, loadDaysIn } from './line'
import type { Parts, Standing } from './parts'
import type { Asking, Read } from './reading'

/** A forecast older than this says more of its day than of the horse. */
const FORECAST_DAYS = 28

/** What the newest forecast said of its gate, while that gate is one of the school and the forecast is not old. */
const lastForecast = (program: Program, entries: readonly Entry[], on: Day): string | null => {
  const newest = entriesOf(entries, 'forecast').findLast(
    (one) => one.on >= addDays(on, -FORECAST_DAYS) && one.on <= on,
  )
  const gate = newest && program.gates.find(({ key }) => key === newest.gate)
  return newest && gate ? keptWords(gate.name, newest) : null
}

/** What is judged of a horse on the day, from its other parts. */
export const judgeNow = async (read: Read, { on }: Asking): Promise<Parts['judged']> =>
  judgedFrom({
    program: await read('program'),
    views: await read('views'),
    facts: await read('facts'),
    loadDays: await read('loadDays'),
    on,
  })

/** Parts that are made of other parts in the same way wherever those come from. */
export const COMPOSED = {
  loadDays: async (read: Read, { on }: Asking): Promise<number> =>
    loadDaysIn(await read('program'), await read('week'), {
      horse: await read('horse'),
      entries: await read('entries'),
      on,
    }),

  facts: async (read: Read, { on }: Asking): Promise<Parts['facts']> =>
    factsFrom({
      horse: await read('horse'),
      program: await read('program'),
      checks: await read('checks'),
      incidents: await read('incidents'),
      confirmed: await read('confirmed'),
      overrules: await read('overrules'),
      known: await read('known'),
      block: await read('block'),
      rides: await read('rides'),
      loadDays: await read('loadDays'),
      measurements: await read('measurements'),
      entries: await read('entries'),
      on,
    }),

  /** Youngsters alone are handled for so many sessions; of other blocks nobody counts them. */
  sessionsInBlock: async (read: Read): Promise<number> => {
    const block = await read('block')
    if (block?.kind !== 'handling') return 0
    const rows = await read('worked')
    return new Set(rows.filter(({ day }) => day >= block.from).map(({ session }) => session)).size
  },

  standings: async (read: Read): Promise<readonly Standing[]> => {
    const standings: Standing[] = []
    for (const horse of await read('horses')) {
      const its = read.at({ horseId: horse.id })
      const program = await its('program')
      standings.push({
        horse,
        name: horse.name,
        program,
        views: await its('views'),
        facts: await its('facts'),
      })
    }
    return standings
  },

  report: async (read: Read, { on }: Asking): Promise<Parts['report']> => {
    const from = reportFrom(on, (await read('block'))?.from ?? null)
    const program = await read('program')
    const against = await read('asksAgainst')
    return reportOf({
      program,
      views: await read('views'),
      facts: await read('facts'),
      day: on,
      from,
      worked: await read('worked'),
      forecast: lastForecast(program, await read('entries'), on),
      incidents: (await read('incidents')).filter(({ withdrawn }) => withdrawn === null),
      pictures: (await read('attachments')).filter(
        ({ kind, inReport, takenBack, file }) =>
          kind === 'picture' && inReport && !takenBack && file === 'here',
      ),
      against: against.map(({ step, ...one }) => ({ ...one, name: knownStep(program, step)?.name ?? step })),
    }) as Parts['report']
  },

  sessionDay: async (read: Read, { today }: Asking): Promise<Parts['sessionDay']> => {
    const { day, horseId } = await read('session')
    const evening = day > today ? today : day
    const at = (on: string): Read => read.at({ on, horseId })
    return {
      before: await at(addDays(evening, -1))('views'),
      after: await at(evening)('views'),
      facts: await at(day)('facts'),
      loadDays: await at(addDays(day, 1))('loadDays'),
    }
  },
} as const

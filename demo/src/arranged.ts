import type { Arranged, ListedPerson, Me, TodayRow } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import type { Api } from './api'
import { idMaker, startOf } from './ids'
import { DEMO_FARRIER, DEMO_HELPER } from './scenario'

const FARRIER_SEED = 17
const WORKDAYS = [1, 2, 3, 4, 5]

const hours = (weekdays: readonly number[], ...stretches: readonly (readonly [string, string])[]) =>
  weekdays.flatMap((weekday) => stretches.map(([from, to]) => ({ weekday, from, to })))

const person = (change: Pick<Extract<Arranged, { about: 'person' }>, 'roles' | 'hours'>): Arranged => ({
  about: 'person',
  mostMinutesPerDay: null,
  remindMinutes: null,
  ...change,
})

/** Who is there when: the starter on six days, the helper on some afternoons and on Saturday, the farrier on one morning. */
const HOURS = {
  starter: person({
    roles: ['start', 'ride', 'help', 'hold'],
    hours: [...hours(WORKDAYS, ['08:00', '12:00'], ['13:00', '16:00']), ...hours([6], ['08:00', '12:00'])],
  }),
  helper: person({
    roles: ['start', 'help', 'hold'],
    hours: [...hours([1, 3, 5], ['13:00', '16:30']), ...hours([6], ['08:00', '12:00'])],
  }),
  farrier: person({ roles: ['farrier'], hours: hours([3], ['09:00', '12:00']) }),
} satisfies Record<string, Arranged>

/** Horses of which more or less is wanted than three visits a week, by name. */
const WANTED: Readonly<Record<string, number>> = { Burdock: 4, Curlew: 4, Teal: 2, Whin: 1 }

/** Arranges what the made-up yard plans its weeks from. */
export const arrangeWeeks = async (starter: Api, me: Me): Promise<void> => {
  const farrierId = idMaker(FARRIER_SEED)(startOf(me.today, 0))
  await starter.ask('PUT', `/people/${farrierId}`, DEMO_FARRIER)
  const { people } = await starter.ask<{ people: ListedPerson[] }>('GET', '/people')
  const helperId = people.find(({ name }) => name === DEMO_HELPER.name)?.id
  const arrange = (id: string, arranged: Arranged) =>
    starter.ask('PUT', `/arranged/${id}`, { arranged, version: 0 })
  await arrange(me.person.id, HOURS.starter)
  if (helperId !== undefined) await arrange(helperId, HOURS.helper)
  await arrange(farrierId, HOURS.farrier)
  const { rows } = await starter.ask<{ rows: TodayRow[] }>('GET', '/today')
  for (const { horse } of rows) {
    const wantedVisits = WANTED[horse.name]
    if (wantedVisits === undefined) continue
    await arrange(horse.id, {
      about: 'horse',
      wantedVisits,
      visitsAtMost: null,
      wantedBy: horse.name === 'Curlew' ? addDays(me.today, 75) : null,
      wantedGate: null,
      notFree: [],
    })
  }
}

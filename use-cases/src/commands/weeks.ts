import type { Arranged, ArrangedPart, Horse, ListedPerson, Place, PutPlannedWeek } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import equal from 'fast-deep-equal'
import { command } from '../command'
import type { Asking } from '../reading'
import { notFound, Refusal, refusedFor } from '../refusal'

const STALE_WEEK = 'Somebody changed this week meanwhile. Look at theirs, then plan on.'

interface About {
  readonly people: readonly ListedPerson[]
  readonly places: readonly Place[]
  readonly horses: readonly Horse[]
}

const isThere = (
  { people, places, horses }: About,
  { about }: Arranged,
  { partId, yardId }: { partId: string; yardId: string },
): boolean => {
  const among = (all: readonly { readonly id: string }[]): boolean => all.some(({ id }) => id === partId)
  switch (about) {
    case 'rules':
      return partId === yardId
    case 'person':
      return among(people)
    case 'place':
      return among(places)
    case 'horse':
      return among(horses)
  }
}

/** A helper arranges their own hours and nothing else. */
const mayArrange = ({ who }: Asking, { about }: Arranged, partId: string): boolean =>
  mayDo(who.role, 'plan-week') || (about === 'person' && partId === who.personId)

const NOT_YOURS = 'A starter of the yard arranges this.'

/** Arranges what holds for every week. */
export const putArranged = command('putArranged', {
  holds: 'the yard',
  parts: ['people', 'places', 'horses', 'arrangedParts'],
  decide: ({ arrangedParts, ...about }, { named: { partId }, body: { arranged, version }, ...asking }) => {
    if (!isThere(about, arranged, { partId, yardId: asking.who.yardId })) throw notFound('This')
    if (!mayArrange({ ...asking, named: {} }, arranged, partId)) throw new Refusal('not-allowed', NOT_YOURS)
    const known = arrangedParts.find(({ id }) => id === partId)
    if (known && equal(known.arranged, arranged)) return []
    if ((known?.version ?? 0) !== version)
      throw new Refusal('stale', 'This was changed meanwhile. Look at it again, then change it.', {
        currentVersion: known?.version ?? 0,
      })
    return [{ kind: 'arranged', id: partId, arranged, version }]
  },
  replies: ['arrangedParts'],
  reply: ({ arrangedParts }, { named }) => {
    const kept = arrangedParts.find(({ id }) => id === named.partId)
    if (!kept) throw notFound('This')
    return kept as ArrangedPart
  },
})

const idsOf = (all: readonly { readonly id: string }[]): ReadonlySet<string> =>
  new Set(all.map(({ id }) => id))

/** Every visit is of this yard: its horse, its people, its place. */
const checkVisits = ({ people, places, horses }: About, visits: PutPlannedWeek['visits']): void => {
  const known = { people: idsOf(people), places: idsOf(places), horses: idsOf(horses) }
  visits.forEach(({ horseId, leadId, helperId, placeId }, i) => {
    const gone = !known.horses.has(horseId)
      ? 'horseId'
      : !known.people.has(leadId)
        ? 'leadId'
        : helperId !== null && !known.people.has(helperId)
          ? 'helperId'
          : placeId !== null && !known.places.has(placeId)
            ? 'placeId'
            : null
    if (gone !== null) throw refusedFor(`visits.${i}.${gone}`, 'This is not in your yard.')
    if (leadId === helperId) throw refusedFor(`visits.${i}.helperId`, 'Lead and helper are two people.')
  })
}

const FIRST_WEEKDAY = 1

/** Keeps a week as somebody left it; what is done at a visit is still decided at the pen. */
export const putPlannedWeek = command('putPlannedWeek', {
  holds: 'the yard',
  parts: ['people', 'places', 'horses', 'plannedWeek'],
  decide: ({ plannedWeek, ...about }, { named: { firstDay }, body: week }) => {
    if (new Date(`${firstDay}T00:00:00Z`).getUTCDay() !== FIRST_WEEKDAY)
      throw refusedFor('firstDay', 'A week begins on a Monday.')
    checkVisits(about, week.visits)
    if (plannedWeek) {
      const { byName: _by, at: _at, ...known } = plannedWeek
      const { version: _version, ...kept } = known
      const { version: _put, ...put } = week
      if (equal(JSON.parse(JSON.stringify(kept)), JSON.parse(JSON.stringify(put)))) return []
    }
    if ((plannedWeek?.version ?? 0) !== week.version)
      throw new Refusal('stale', STALE_WEEK, { currentVersion: plannedWeek?.version ?? 0 })
    return [{ kind: 'planned-week', firstDay, week }]
  },
  replies: ['plannedWeek'],
  reply: ({ plannedWeek }) => {
    if (!plannedWeek) throw notFound('This week')
    return plannedWeek
  },
})

/** Keeps when somebody is busy; a new file takes the stead of the one before. */
export const putBusy = command('putBusy', {
  holds: 'nothing',
  parts: ['people'],
  decide: ({ people }, { named: { personId }, body, who }) => {
    if (!people.some(({ id }) => id === personId)) throw notFound('This person')
    if (!mayDo(who.role, 'plan-week') && personId !== who.personId)
      throw new Refusal('not-allowed', NOT_YOURS)
    return [{ kind: 'busy', personId, ...body }]
  },
  replies: [],
  reply: () => ({ ok: true as const }),
})

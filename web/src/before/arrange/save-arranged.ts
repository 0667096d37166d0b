import type { BatchItem, Line } from '@still-pine/contract'
import { sendArranged } from '@still-pine/device'
import { v7 as uuid } from 'uuid'
import { api } from '../../app/client'
import type { store } from '../../app/store'
import { rememberOfTheDay, type Arrangement } from '../../shared/arrangement'

type Item = Extract<BatchItem, { do: 'arrange' }>

/** Saves how a session is arranged: on this device at once, and from there for every other. Gives the entry's id. */
export const saveArranged =
  ({ horse, day }: Pick<Line, 'horse' | 'day'>, told: Arrangement) =>
  (dispatch: typeof store.dispatch, getState: typeof store.getState): string => {
    const id = uuid()
    const personId = api.endpoints.me.select(undefined)(getState()).data?.person.id
    if (personId === undefined) return id
    const arrangement = JSON.parse(
      JSON.stringify({ ...told, id, programId: horse.programId }),
    ) as Item['arrangement']
    dispatch(
      api.util.updateQueryData('line', { horseId: horse.id }, (line) => {
        line.arranged = arrangement
      }),
    )
    rememberOfTheDay(day, told.said)
    const at = new Date().toISOString()
    const item: Item = { do: 'arrange', id, horseId: horse.id, day, arrangement, at }
    // A device that keeps nothing plans the day as it is.
    void sendArranged({ id, personId, horseId: horse.id, item, readyAt: 0 }).catch(() => undefined)
    return id
  }

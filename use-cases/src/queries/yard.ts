import { mayDo } from '@still-pine/contract/rights'
import { query } from '../query'

export const me = query('me', ['me'], (parts) => parts.me)

export const places = query('places', ['places'], (parts) => ({ places: parts.places }))

/** The people of the yard; addresses are for who may change them. */
export const people = query('people', ['people'], (parts, { who }) => ({
  people: mayDo(who.role, 'edit-people')
    ? parts.people
    : parts.people.map((person) => ({ ...person, email: null })),
}))

export const devices = query('devices', ['devices'], (parts, { who }) => ({
  devices: parts.devices.map((device) => ({
    ...device,
    isThis: device.personId === who.personId && device.id === who.deviceId,
  })),
}))

export const reports = query('reports', ['ownReports'], (parts) => ({ horses: parts.ownReports }))

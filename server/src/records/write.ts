import { DEFAULT_SETTINGS } from '@still-pine/contract'
import { refusedFor, type YardChange } from '@still-pine/use-cases'
import { insertArrival, insertBlock, updateBlock } from '../data/blocks'
import { insertOverrule, takeBackOverrule } from '../data/care'
import { setCutOff } from '../data/devices'
import { chooseFit } from '../data/fits'
import { insertHorse, moveHorse, updateArchived, updateHandOver, updateHorse } from '../data/horses'
import { dropOwner, saveOwner } from '../data/owners'
import { insertPerson, saveSettings, updatePerson, updateStanding } from '../data/people'
import { savePlace } from '../data/places'
import { insertProgram } from '../data/programs'
import { isTaken } from '../data/sql'
import { saveArranged, saveBusy, savePlannedWeek } from '../data/weeks'
import { putCheck } from './care'
import { judgeAnew } from './schools'
import type { Yard } from './yard'

/** Writes what may meet an address that is taken: whose it is, in which yard, is not told. */
const withAddress = async (write: () => Promise<unknown>): Promise<unknown> => {
  try {
    return await write()
  } catch (error) {
    if (isTaken(error)) throw refusedFor('email', 'This address cannot be used: it signs in already.')
    throw error
  }
}

const writePerson = (yard: Yard, { id, isNew, person }: Extract<YardChange, { kind: 'person' }>) => {
  if (!isNew) return updatePerson(yard.client, id, person)
  const made = { id, ...person, settings: DEFAULT_SETTINGS }
  return insertPerson(yard.client, yard.yardId, { person: made, at: yard.now })
}

/** Writes what a command changes. */
export const writeChange = async (yard: Yard, change: YardChange): Promise<unknown> => {
  const { client, yardId, personId, now } = yard
  switch (change.kind) {
    case 'settings':
      return saveSettings(client, personId, change.settings)
    case 'cut-off':
      return setCutOff(client, change.personId, { deviceId: change.deviceId, at: change.at })
    case 'person':
      return withAddress(() => writePerson(yard, change))
    case 'standing':
      return withAddress(() => updateStanding(client, change.id, change.standing))
    case 'fit':
      yard.wantDay()
      return chooseFit(client, change.version)
    case 'place':
      return savePlace(client, yardId, { id: change.id, p: change.place })
    case 'program':
      return insertProgram(client, yardId, {
        id: change.id,
        document: change.document,
        made: change.ships ? null : { by: personId, at: now },
      })
    case 'horse-added':
      return insertHorse(client, yardId, { ...change, at: now })
    case 'horse':
      return updateHorse(client, change.id, change.form)
    case 'archived':
      return updateArchived(client, change.id, change.archived)
    case 'hand-over':
      return updateHandOver(client, change.id, change.steps)
    case 'moved-over':
      await moveHorse(client, change.id, change)
      return judgeAnew(yard, change.id, change.programId)
    case 'owner':
      return change.personId === null
        ? dropOwner(client, change.horseId)
        : saveOwner(client, yardId, { horseId: change.horseId, personId: change.personId })
    case 'arrival':
      return insertArrival(client, { ...yard, horseId: change.horseId }, change)
    case 'block':
      return change.isNew
        ? insertBlock(client, { ...yard, horseId: change.horseId }, change)
        : updateBlock(client, change)
    case 'check':
      return putCheck(yard, change.horseId, { id: change.id, body: change.check })
    case 'overrule':
      return insertOverrule(client, { ...yard, horseId: change.horseId }, { ...change.overrule, at: now })
    case 'overrule-taken-back':
      return takeBackOverrule(client, change.id, now)
    case 'arranged':
      return saveArranged(client, yardId, change)
    case 'planned-week':
      return savePlannedWeek(client, yard, change)
    case 'busy':
      return saveBusy(client, yardId, change)
  }
}

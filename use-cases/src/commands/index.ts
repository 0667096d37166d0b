import type { Command, CommandName } from '../command'
import type { PartName } from '../parts'
import { putCheck, putOverrule } from './care'
import { putArchived, putHandOver, putHorse, putHorseProgram } from './horse'
import { putArrival, putBlock, putOwner } from './life'
import { putArranged, putBusy, putPlannedWeek } from './weeks'
import { putCutOff, putFit, putPerson, putOffered, putPlace, putProgram, putStanding, settings } from './yard'

/** Everything that can be done to a yard by itself, by route; one that has no command does not compile. */
export const commands: { readonly [N in CommandName]: Command<N, PartName, PartName> } = {
  settings,
  putCutOff,
  putPerson,
  putStanding,
  putPlace,
  putFit,
  putProgram,
  putOffered,
  putHorse,
  putArchived,
  putHandOver,
  putHorseProgram,
  putArrival,
  putBlock,
  putOwner,
  putCheck,
  putOverrule,
  putArranged,
  putPlannedWeek,
  putBusy,
}

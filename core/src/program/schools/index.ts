import type { Program } from '../program'
import { FEET_FIRST } from './feet-first'
import { LIGHT_AIDS } from './light-aids'
import { MARK_AND_REWARD } from './mark-and-reward'
import { STAND_FIRST } from './stand-first'

export { DISPUTES, type Dispute } from './disputes'
export type { SchoolKey } from './school'
export { FEET_FIRST, LIGHT_AIDS, MARK_AND_REWARD, STAND_FIRST }

/** The schools that ship with the product, in the order in which they are offered. */
export const SCHOOLS: readonly Program[] = [FEET_FIRST, STAND_FIRST, MARK_AND_REWARD, LIGHT_AIDS]

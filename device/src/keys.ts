import { addressOf } from '@still-pine/contract/addresses'

/** Where the copies of what is needed before all else lie. */
export const lineKey = (horseId: string): string => addressOf('line', { horseId })
export const programKey = (programId: string): string => addressOf('program', { programId })

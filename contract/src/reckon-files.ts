import { loadSolver } from '@still-pine/core/solver'
import { reckonFile } from './permit-file'
import { planFile } from './week-file'

/** What the command line reckons from a file, by the word that asks for it. */
export const reckonDocument = async (what: string, document: unknown) =>
  what === 'week' ? planFile(document, await loadSolver()) : reckonFile(document)

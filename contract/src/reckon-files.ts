import { loadSolver } from '@still-pine/core/solver'
import { forecastFile } from './forecast-file'
import { reckonFile } from './permit-file'
import { planFile } from './week-file'

/** What the command line reckons from a file, by the word that asks for it. */
export const reckonDocument = async (what: string, document: unknown) => {
  if (what === 'week') return planFile(document, await loadSolver())
  return what === 'forecast' ? forecastFile(document) : reckonFile(document)
}

import { Check, Incident, PutIncident, type Horse } from '@still-pine/contract'
import type { Carried } from '../store'

const NOT_TOLD: Pick<Horse, 'estimate' | 'feral' | 'bitted' | 'heightCm' | 'archived'> = {
  estimate: null,
  feral: false,
  bitted: false,
  heightCm: null,
  archived: null,
}

const incidentNow = (incident: Incident | (Incident & { serious: boolean })): Incident =>
  'serious' in incident
    ? Incident.parse({ ...PutIncident.parse({ ...incident, withdrawn: undefined }), id: incident.id })
    : Incident.parse(incident)

/** What an older app carried to this device, as it is told now; with signal it is soon carried anew. */
export const broughtUp = (carried: Carried): Carried => ({
  ...carried,
  horse: { ...NOT_TOLD, ...carried.horse },
  checks: carried.checks.map((check) => Check.parse(check)),
  incidents: carried.incidents.map(incidentNow),
  attachments: carried.attachments ?? [],
  measurements: carried.measurements ?? [],
  entries: carried.entries ?? [],
  known: carried.known ?? [],
  block: carried.block ?? null,
})

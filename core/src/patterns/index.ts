export { incidentFactors, type AskCounted, type IncidentPlaced } from './factors'
export { incidentPatterns, type Factor, type Level } from './incidents'
export { faultRepairs, type Repair } from './repairs'
export { goneAfter, repairsByFault, type Tried } from './after-repair'

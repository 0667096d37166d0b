export { gateChecks } from './gate-checks'
export { openSteps, type ClosedStep, type OpenStep, type OpenTrack } from './open-steps'
export { BURST_MINUTES, planSession, type Burst, type Purpose, type SessionPlan } from './session'
export type { SidePlan } from './sides'

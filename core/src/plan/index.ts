export { gateChecks } from './gate-checks'
export { openSteps, type ClosedStep, type OpenStep, type OpenTrack } from './open-steps'
export { planSession, type Burst, type Purpose, type SessionPlan } from './session'
export type { SidePlan } from './sides'

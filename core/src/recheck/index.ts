export { coldBursts, type ColdAsk } from './bursts'
export { OUTCOME_WORDS, outcomeOf, type Outcome } from './outcome'
export { recheckSheet, type Recheck, type RecheckSheet } from './sheet'

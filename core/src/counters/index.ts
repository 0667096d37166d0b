export * from './counters'
export { HANDLING_MINUTES, isLoad, isLoadAtPace, isRidden, offLeadFrom } from './load'

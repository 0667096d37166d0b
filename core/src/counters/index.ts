export * from './counters'
export { HANDLING_MINUTES, isLoad, isRidden } from './load'

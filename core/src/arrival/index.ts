export { arrivalCheck, type ArrivalAsk, type ArrivalCheck, type How, type Known } from './check'
export type { ArrivalAnswer } from './track'

export {
  arrivalCheck,
  opensAfter,
  factsMissing,
  type ArrivalAsk,
  type ArrivalCheck,
  type ArrivalHorse,
  type Known,
} from './check'
export type { ArrivalAnswer } from './track'

export {
  arrivalCheck,
  type ArrivalAnswer,
  type ArrivalAsk,
  type ArrivalCheck,
  type How,
  type Known,
} from './check'

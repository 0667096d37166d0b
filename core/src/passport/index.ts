export { ASKED_WITHIN_DAYS, firstAsks, promisesOf, promiseVerdict, type Promised } from './promises'

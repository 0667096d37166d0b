export { Reader } from './reader'

export * from './fit'
export * from './words'
export { nelderMead } from './nelder-mead'

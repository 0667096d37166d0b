export * from './fit'
export { nelderMead } from './nelder-mead'

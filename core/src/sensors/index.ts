export { heart, type Beat } from './heart'
export { pull, type Pulled } from './pull'

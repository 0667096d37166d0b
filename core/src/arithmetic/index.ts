export { oneIn } from './chance-words'
export { atLeast, signTest } from './exact-tests'
export { over, under } from './limits'
export { median } from './median'

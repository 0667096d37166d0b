export { loadSolver } from './highs'
export type { LinearModel, Row, Solution, SolveLimits, Solver, Variable } from './model'

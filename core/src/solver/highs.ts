import highsLoader, { type Highs } from 'highs'
import type { LinearModel, Solution, SolveLimits, Solver } from './model'

const SEED = 1
const SAME = 1e-9

let loaded: Promise<Highs> | null = null

const dataOf = (highs: Highs, { variables, rows }: LinearModel) => {
  const starts: number[] = [0]
  const indices: number[] = []
  const values: number[] = []
  for (const { terms } of rows) {
    for (const [variable, coefficient] of terms) {
      indices.push(variable)
      values.push(coefficient)
    }
    starts.push(indices.length)
  }
  const { infinity, constants } = highs
  return {
    numCols: variables.length,
    numRows: rows.length,
    sense: constants.objectiveSense.maximize,
    colCost: variables.map(({ worth }) => worth),
    colLower: variables.map(() => 0),
    colUpper: variables.map(({ upper }) => upper),
    rowLower: rows.map(({ least }) => least ?? -infinity),
    rowUpper: rows.map(({ most }) => most ?? infinity),
    matrix: {
      format: 'csr' as const,
      numRows: rows.length,
      numCols: variables.length,
      starts,
      indices,
      values,
    },
    integrality: variables.map(({ isWhole }) =>
      isWhole ? constants.variableType.integer : constants.variableType.continuous,
    ),
  }
}

const statusOf = (
  relativeGap: number,
  isOptimal: boolean,
  { objective, bound }: Solution,
): Solution['status'] =>
  isOptimal && Math.abs(bound - objective) <= SAME * Math.max(1, Math.abs(objective))
    ? 'proved'
    : isOptimal && relativeGap > 0
      ? 'within the gap'
      : isOptimal
        ? 'proved'
        : 'stopped'

/** Without a variable every sum is nothing: it meets the rows or does not. */
const withoutVariables = ({ rows }: LinearModel): Solution => {
  const holds = rows.every(({ least, most }) => (least ?? 0) <= 0 && (most ?? 0) >= 0)
  return holds
    ? { status: 'proved', values: [], objective: 0, bound: 0 }
    : { status: 'infeasible', values: [], objective: -Infinity, bound: -Infinity }
}

const solveWith =
  (highs: Highs): Solver =>
  (model, { relativeGap, nodes, seconds }: SolveLimits, start) =>
    model.variables.length === 0
      ? withoutVariables(model)
      : (highs.withModel(dataOf(highs, model) as never, (made) => {
          made.options.set({
            output_flag: false,
            random_seed: SEED,
            mip_rel_gap: relativeGap,
            mip_abs_gap: 0,
            mip_max_nodes: nodes,
            time_limit: seconds,
          } as never)
          if (start) made.setSolution({ indices: start.map((_, i) => i), values: start })
          made.run()
          const { modelStatus } = highs.constants
          const status = made.getModelStatus()
          const hasSolution =
            made.info.get('primal_solution_status') === highs.constants.solutionStatus.feasible
          const values = hasSolution ? [...made.getSolution().colValue] : []
          const objective = hasSolution ? made.getObjectiveValue() : -Infinity
          const bound = Number(made.info.get('mip_dual_bound'))
          const solution = { status: 'stopped', values, objective, bound } as const
          if (status === modelStatus.infeasible) return { ...solution, status: 'infeasible' as const }
          return { ...solution, status: statusOf(relativeGap, status === modelStatus.optimal, solution) }
        }) as Solution)

/**
 * The solver (HiGHS, compiled to WebAssembly), loaded once. Its calls block: run it in a worker. `runtime` says where
 * its WebAssembly file lies, where that is not beside the module.
 */
export const loadSolver = async (runtime?: string): Promise<Solver> => {
  loaded ??= highsLoader(runtime === undefined ? {} : { locateFile: () => runtime })
  return solveWith(await loaded)
}

import { CATALOGUE, type Program } from '../program'

/** A yard's own copy of a school, at its first version. */
export const copyOfSchool = (program: Program, school: string, name: string): Program => ({
  ...program,
  school,
  name,
  version: 1,
  copyOf: program.copyOf ?? program.school,
})

/** Steps that ship and are not on this path: what can be put in as it is. */
export const stepsLeftOut = (program: Program) =>
  CATALOGUE.filter(({ key }) => !program.steps.some((step) => step.key === key))

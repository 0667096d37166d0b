import { SchoolDocument } from '@still-pine/contract'
import { flawsOf, type Program } from '@still-pine/core/program'
import {
  findNodeAtLocation,
  parseTree,
  printParseErrorCode,
  type JSONPath,
  type Node,
  type ParseError,
} from 'jsonc-parser'

/** Something wrong with a school’s file: where it stands, and what is wrong there. */
export interface FileFault {
  readonly line: number
  /** As in `program.steps.3.rungs`; empty for a file that is no JSON. */
  readonly path: string
  readonly words: string
}

export type ReadSchool = { readonly program: Program } | { readonly faults: readonly FileFault[] }

const MOST_FAULTS = 30

/** Larger than any school: 500 steps with all their words are about a tenth of it. */
export const MOST_BYTES = 10_000_000

const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length

/** The nearest thing that is there: a missing field stands in what it is missing from. */
const nodeAt = (tree: Node, path: JSONPath): Node =>
  findNodeAtLocation(tree, path) ?? (path.length === 0 ? tree : nodeAt(tree, path.slice(0, -1)))

const SYNTAX: Readonly<Record<string, string>> = {
  PropertyNameExpected: 'the name of a field should stand here',
  ValueExpected: 'a value should stand here',
  ColonExpected: 'a colon is missing',
  CommaExpected: 'a comma is missing',
  CloseBraceExpected: 'a “}” is missing',
  CloseBracketExpected: 'a “]” is missing',
  EndOfFileExpected: 'the file should end here',
}

const syntaxFaults = (text: string, errors: readonly ParseError[]): readonly FileFault[] =>
  errors.slice(0, MOST_FAULTS).map(({ error, offset }) => {
    const code = printParseErrorCode(error)
    return { line: lineAt(text, offset), path: '', words: `This is not JSON: ${SYNTAX[code] ?? code}.` }
  })

/** Reads a school’s file whole, or says line by line what is wrong with it. */
export const readSchool = (text: string): ReadSchool => {
  if (text.length > MOST_BYTES)
    return { faults: [{ line: 1, path: '', words: 'This file is larger than any school can be.' }] }
  const errors: ParseError[] = []
  const tree = parseTree(text, errors, { disallowComments: true })
  if (!tree || errors.length > 0)
    return {
      faults:
        errors.length > 0
          ? syntaxFaults(text, errors)
          : [{ line: 1, path: '', words: 'This file is empty.' }],
    }
  const fault = (path: JSONPath, words: string): FileFault => ({
    line: lineAt(text, nodeAt(tree, path).offset),
    path: path.join('.'),
    words,
  })
  const read = SchoolDocument.safeParse(JSON.parse(text))
  if (!read.success)
    return {
      faults: read.error.issues
        .slice(0, MOST_FAULTS)
        .map(({ path, message }) => fault(path as JSONPath, message)),
    }
  const { program } = read.data
  const pathTo = (key: string): JSONPath => {
    const step = program.steps.findIndex((one) => one.key === key)
    const gate = program.gates.findIndex((one) => one.key === key)
    if (step !== -1) return ['program', 'steps', step]
    return gate === -1 ? ['program'] : ['program', 'gates', gate]
  }
  const flaws = flawsOf(program).slice(0, MOST_FAULTS)
  return flaws.length > 0
    ? { faults: flaws.map(({ step, words }) => fault(pathTo(step), words)) }
    : { program }
}

import { SCHOOL_FORMAT } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { copyOfSchool } from '@still-pine/core/school-edit'
import { describe, expect, it } from 'vitest'
import { readSchool, type FileFault } from './read-school'

const OWN = copyOfSchool(FEET_FIRST, 'own', 'Own')
const fileOf = (program: unknown): string =>
  JSON.stringify({ format: SCHOOL_FORMAT, version: 1, program }, null, 2)

const faultsOf = (text: string): readonly FileFault[] => {
  const read = readSchool(text)
  return 'faults' in read ? read.faults : []
}

describe('a school’s file', () => {
  it('comes back as it went out', () => {
    expect(readSchool(fileOf(OWN))).toEqual({ program: JSON.parse(JSON.stringify(OWN)) })
  })

  it('that is broken JSON names the line', () => {
    const lines = fileOf(OWN).split('\n')
    const at = lines.findIndex((line) => line.includes('"pace"'))
    const broken = lines.map((line, i) => (i === at ? line.replace(':', '') : line)).join('\n')
    expect(faultsOf(broken)[0]).toEqual({
      line: at + 1,
      path: '',
      words: 'This is not JSON: a colon is missing.',
    })
  })

  it('with a wrong field names its line and its path', () => {
    const text = fileOf(OWN).replace('"stage": 4', '"stage": 44')
    const [fault] = faultsOf(text)
    expect(fault!.path).toMatch(/^program\.steps\.\d+\.stage$/)
    expect(text.split('\n')[fault!.line - 1]).toContain('"stage": 44')
  })

  it('with a missing field names what it is missing from', () => {
    const [fault] = faultsOf(fileOf({ ...OWN, pace: undefined }))
    expect(fault).toMatchObject({ path: 'program.pace', line: 4 })
  })

  it('whose steps wait for each other names the step', () => {
    const steps = OWN.steps.map((step) =>
      step.key === 'give-to-halter' ? { ...step, needs: [{ step: 'bend' }] } : step,
    )
    const text = fileOf({ ...OWN, steps })
    const fault = faultsOf(text).find(({ words }) => words.includes('wait for each other'))!
    expect(fault.path).toMatch(/^program\.steps\.\d+$/)
    expect(
      text
        .split('\n')
        .slice(fault.line - 1, fault.line + 1)
        .join(),
    ).toMatch(/"key": "(give-to-halter|bend|halter-on)/)
  })

  it('with 5 000 steps, no steps, or of something else, is refused in words', () => {
    const many = Array.from({ length: 5000 }, (_, i) => ({ ...OWN.steps[0]!, key: `step-${i}` }))
    expect(faultsOf(fileOf({ ...OWN, steps: many }))[0]!.words).toMatch(/At most 500 steps/)
    expect(faultsOf(fileOf({ ...OWN, steps: [] }))[0]!.words).toMatch(/at least one step/)
    expect(faultsOf('{"format":"something"}')[0]!.words).toMatch(/not a school/)
    expect(faultsOf('')[0]!.words).toMatch(/empty|not JSON/)
  })
})

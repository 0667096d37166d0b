import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { reckon } from '.'

interface Case {
  readonly rule: string
  readonly input: unknown
  readonly expect: Readonly<Record<string, unknown>> & { readonly error?: { readonly field: string } }
}

const { tolerance, cases } = JSON.parse(
  readFileSync(new URL('../../tests/vectors/reckon.json', import.meta.url), 'utf8'),
) as { tolerance: number; cases: readonly Case[] }

/** Numbers within the tolerance of the greater of 1 and their own size, everything else exactly. */
const differs = (got: unknown, wanted: unknown, at = ''): readonly string[] => {
  if (typeof wanted === 'number' && typeof got === 'number')
    return Math.abs(got - wanted) <= tolerance * Math.max(1, Math.abs(wanted))
      ? []
      : [`${at}: ${got}, not ${wanted}`]
  if (wanted !== null && typeof wanted === 'object' && got !== null && typeof got === 'object') {
    const keys = new Set([...Object.keys(wanted), ...Object.keys(got)])
    return [...keys].flatMap((key) =>
      differs(
        (got as Record<string, unknown>)[key],
        (wanted as Record<string, unknown>)[key],
        `${at}.${key}`,
      ),
    )
  }
  return got === wanted ? [] : [`${at}: ${JSON.stringify(got)}, not ${JSON.stringify(wanted)}`]
}

describe('the rules by which a horse is reckoned', () => {
  it.each(cases.map(({ rule, input, expect: wanted }, i) => [i, rule, input, wanted] as const))(
    'case %i, %s',
    (_i, rule, input, wanted) => {
      const told = reckon(rule, input)
      if (wanted.error) expect(told).toMatchObject({ ok: false, error: { field: wanted.error.field } })
      else expect(told.ok ? differs(told.reply, wanted) : told).toEqual([])
    },
  )
})

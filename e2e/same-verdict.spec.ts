import { build } from 'esbuild'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { enterDemo, expect, test } from './fixtures'

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

const IN_THE_BROWSER = `
  import { STANDARD_MODEL } from '@still-pine/core/judgement'
  import { FEET_FIRST } from '@still-pine/core/program'
  import { gateVerdicts, replayHorse, viewsOf } from '@still-pine/core/readiness'
  export const verdicts = (answers, facts, day) => {
    const records = replayHorse(STANDARD_MODEL, FEET_FIRST, answers)
    const views = viewsOf(STANDARD_MODEL, FEET_FIRST, { records, on: day })
    return gateVerdicts(FEET_FIRST, views, { facts, on: day })
  }
`

interface Document {
  readonly answers: readonly { readonly horse: string; readonly id: string; readonly at: string }[]
  readonly voidings: readonly { readonly answer: string }[]
  readonly checks: readonly { readonly horse: string }[]
  readonly incidents: readonly { readonly horse: string }[]
}

const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_key, one: unknown) =>
    typeof one === 'number' ? Math.round(one * 1e9) / 1e9 : one,
  )

test('the same core comes to the same verdicts in the browser and on the server', async ({ page, demo }) => {
  const id = await enterDemo(page, demo)
  const stdin = { contents: IN_THE_BROWSER, resolveDir: join(ROOT, 'e2e'), loader: 'ts' as const }
  const bundled = await build({ stdin, bundle: true, format: 'iife', globalName: 'core', write: false })
  await page.evaluate(`${bundled.outputFiles[0]!.text}; globalThis.core = core`)
  const yard = (await (await page.request.get(`${demo.url}/api/v1/out/yard.json`)).json()) as Document
  const takenBack = new Set(yard.voidings.map(({ answer }) => answer))
  for (const name of ['Sedge', 'Snipe', 'Teal']) {
    const line = await (await page.request.get(`${demo.url}/api/v1/horses/${id[name]}/line`)).json()
    const of = <T extends { horse: string }>(list: readonly T[]): T[] =>
      list.filter(({ horse }) => horse === id[name])
    const facts = {
      born: line.horse.born,
      checks: of(yard.checks),
      incidents: of(yard.incidents),
      confirmed: line.facts.confirmed,
      handOver: line.horse.handOver,
    }
    // Answers stand in the order they were kept; they count in the order they were given.
    const answers = of(yard.answers)
      .filter((answer) => !takenBack.has(answer.id))
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    const here = await page.evaluate(
      ([answers, facts, day]) =>
        (globalThis as unknown as { core: { verdicts: (...args: unknown[]) => unknown } }).core.verdicts(
          answers,
          facts,
          day,
        ),
      [answers, facts, line.day] as const,
    )
    // Engines differ in the last digit of an exponential.
    expect(rounded(here)).toEqual(rounded(line.gates))
  }
})

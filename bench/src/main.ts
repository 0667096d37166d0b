import { spawnSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import pg from 'pg'
import { FEET_FIRST } from '@still-pine/core/program'
import { migrate } from '../../server/src/data/pool'
import { calibrationFigures } from './calibration'
import { chartFigures } from './charts'
import { composerFigures } from './composer/trial'
import { fitFigures } from './fit'
import { forecastFigures } from './forecast'
import { fillYards } from './fill'
import { firstRun } from './first-run'
import { filterFigures, oneMoreFigures } from './filter'
import { lateFigures } from './late'
import { lineTimes, type LineTimes } from './line'
import type { Figure } from './measure'
import { offlineFigures } from './offline'
import { pageFigures } from './page'
import { readingFigures } from './reading'
import { recordFigures } from './record'
import { tapFigures } from './tap'
import { startThreads } from './threads'
import { todayFigures } from './today'
import { weekFigures } from './week'

// Run by tools/bench.mjs, which starts the database and passes its address.
const { values } = parseArgs({
  options: {
    horses: { type: 'string', default: '200' },
    answers: { type: 'string', default: '5000' },
    yards: { type: 'string', default: '1000' },
    herd: { type: 'string', default: '200' },
    changes: { type: 'string', default: '14' },
    only: {
      type: 'string',
      default: 'filter,rebuild,today,line,yards,reading,page,tap,offline,record,charts',
    },
    out: { type: 'string', default: 'bench/dist/figures.json' },
  },
})
const parts = new Set(values.only.split(','))
const horses = Number(values.horses)
const answers = Number(values.answers)
const ownerUrl = process.env.DATABASE_URL!
const NOW = new Date('2026-05-14T12:00:00Z')
const SIGN_IN = { email: 'bench@example.org', password: 'a long enough one' }
const figures: Figure[] = []
const say = (text: string): void => void process.stderr.write(`${text}\n`)

const add = (...more: readonly Figure[]): void => {
  figures.push(...more)
  for (const { name, value, unit } of more) say(`  ${name}: ${value.toPrecision(3)} ${unit}`)
}

const firstYard = async (client: pg.Client): Promise<string> => {
  await firstRun(ownerUrl, SIGN_IN, NOW)
  return (await client.query<{ id: string }>('select id from yard')).rows[0]!.id
}

const otherYards = async (client: pg.Client, count: number): Promise<readonly string[]> => {
  const { rows } = await client.query<{ id: string }>(
    `insert into yard (id, name, time_zone, created_at)
     select gen_random_uuid(), 'Yard ' || n, 'Europe/Oslo', now() from generate_series(1, $1::int) n returning id`,
    [count],
  )
  await client.query(
    `insert into person (id, yard_id, name, email, role, settings, created_at)
     select gen_random_uuid(), y.id, 'Somebody', y.id || '@example.org', 'starter', '{}', now()
     from yard y where y.name like 'Yard %'`,
  )
  return rows.map(({ id }) => id)
}

const lineFigures = (times: LineTimes, where: string): readonly Figure[] => [
  { name: `Line, first read of the day, ${where}: p95`, value: times.first, unit: 'ms', aim: '' },
  {
    name: `Line, first read of the day, ${where}: p95 to bare SQL`,
    value: times.ratios.first,
    unit: '×',
    aim: '',
  },
  { name: `Line, later reads, ${where}: p95`, value: times.later, unit: 'ms', aim: '' },
  { name: `Line, later reads, ${where}: p95 to bare SQL`, value: times.ratios.later, unit: '×', aim: '≤ 2' },
]

if (parts.has('filter')) {
  say('Filtering …')
  add(...filterFigures(), ...oneMoreFigures())
}

if (parts.has('week')) {
  say('Planning weeks …')
  add(...(await weekFigures(say)))
}

if (parts.has('forecast')) {
  say('Drawing forecasts …')
  add(...forecastFigures(say))
}

if (parts.has('calibration')) {
  say('Judging herds of made-up horses …')
  add(...calibrationFigures(say))
}

// Not part of a run that does not ask for them: these take from half an hour to many hours.
if (parts.has('fit') || parts.has('composer')) {
  const threads = startThreads(fileURLToPath(new URL('work.js', import.meta.url)))
  if (parts.has('fit')) {
    say('Fitting made-up yards …')
    add(...(await fitFigures(threads, say)))
  }
  if (parts.has('composer')) {
    say('Working made-up horses …')
    const [herd, changes] = [Number(values.herd), Number(values.changes)]
    add(...(await composerFigures(herd, { threads, changes, heard: say })))
  }
  await threads.end()
}

if (
  ['rebuild', 'today', 'line', 'yards', 'reading', 'page', 'tap', 'offline', 'record', 'charts'].some(
    (part) => parts.has(part),
  )
) {
  await migrate(ownerUrl, process.env.STILL_PINE_MIGRATIONS!)
  const client = new pg.Client(ownerUrl)
  await client.connect()
  const yardId = await firstYard(client)
  say(`Filling ${horses} horses with ${horses * answers} answers …`)
  await fillYards(client, [yardId], { size: { horses, answers }, lastDay: '2026-05-13' })
  say('Rebuilding on two threads …')
  const began = performance.now()
  const done = spawnSync(process.execPath, ['server/dist/rebuild.js'], {
    env: { ...process.env, THREADS: '2' },
    encoding: 'utf8',
  })
  if (!/worked out again/.test(done.stdout)) throw new Error(done.stderr)
  add({
    name: `${horses * answers} answers rebuilt on two threads, reading and writing too`,
    value: (performance.now() - began) / 1000,
    unit: 's',
    aim: horses * answers === 1_000_000 ? '≤ 120' : '',
  })
  if (parts.has('rebuild')) {
    say('Sending answers late …')
    add(...(await lateFigures(ownerUrl, SIGN_IN, { now: NOW, answers })))
  }
  if (parts.has('reading')) {
    say('Reading evidence …')
    add(...(await readingFigures(ownerUrl, SIGN_IN, NOW)))
  }
  if (parts.has('today')) {
    say('Reading Today …')
    add(...(await todayFigures(ownerUrl, SIGN_IN, NOW)))
  }
  if (parts.has('line')) {
    say('Reading Lines …')
    const alone = await lineTimes(ownerUrl, SIGN_IN, { now: NOW, reads: 150 })
    add(...lineFigures(alone, `${horses} horses`))
    if (parts.has('yards')) {
      const count = Number(values.yards)
      say(`Filling ${count} more yards of 20 000 answers …`)
      await fillYards(client, await otherYards(client, count), {
        size: { horses: 10, answers: 2_000 },
        lastDay: '2026-05-13',
      })
      const among = await lineTimes(ownerUrl, SIGN_IN, { now: NOW, reads: 150 })
      add(...lineFigures(among, `among ${count} yards`))
      add({
        name: `Line, later reads, among ${count} yards to alone: p95`,
        value: among.later / alone.later,
        unit: '×',
        aim: 'about 1',
      })
    }
  }
  await client.end()
  if (parts.has('page')) {
    say('Opening the Line in a browser …')
    add(...(await pageFigures(ownerUrl, SIGN_IN)))
  }
  if (parts.has('tap')) {
    say('Tapping answers in a slow browser …')
    add(...(await tapFigures(ownerUrl, SIGN_IN)))
  }
  if (parts.has('offline')) {
    say('Going without signal …')
    add(...(await offlineFigures(ownerUrl, SIGN_IN)))
  }
  if (parts.has('record')) {
    say('Opening the record of five years in a slow browser …')
    add(...(await recordFigures(ownerUrl, SIGN_IN)))
  }
  // The last part: it makes the history of one horse another.
  if (parts.has('charts')) {
    say('Drawing charts and planning on a slow processor …')
    add(...(await chartFigures(ownerUrl, SIGN_IN)))
  }
}

mkdirSync('bench/dist', { recursive: true })
const run = { program: FEET_FIRST.school, node: process.version, figures }
writeFileSync(values.out, `${JSON.stringify(run, null, 2)}\n`)
const width = Math.max(...figures.map(({ name }) => name.length))
for (const { name, value, unit, aim } of figures)
  console.log(
    `${name.padEnd(width)}  ${value.toPrecision(3).padStart(8)} ${unit.padEnd(3)} ${aim && `aim ${aim}`}`,
  )
say(`Also in ${values.out}`)
process.exit(0)

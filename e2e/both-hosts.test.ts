import 'fake-indexeddb/auto'
import {
  addressOf,
  routes,
  type Carry,
  type Horse,
  type Me,
  type ReadName,
  type Session,
} from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import { sidesOf, type Program } from '@still-pine/core/program'
import { carryHorse, saveReply } from '@still-pine/device'
import { Reader } from '@still-pine/device/replica'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import {
  addHorse,
  answerItem,
  confirmItem,
  incidentItem,
  sendBatch,
  sessionItem,
  TestClock,
  voidItem,
} from '../server/tests/making'
import type {} from '../server/tests/cluster'
import { startYard, type Running, type Visitor } from '../server/tests/running'

// A yard by chance, from a set seed: each question is put to the server and to a device that carries its horses, and
// both have to say the same.
const SEED = 20260514
const TODAY = '2026-05-14'
const clock = new TestClock(`${TODAY}T12:00:00Z`)
const random = xoroshiro128plus(SEED)
const upTo = (most: number): number => uniformInt(random, 0, most)
const oneOf = <T>(list: readonly T[]): T => list[upTo(list.length - 1)]!

let yard: Running & { starter: Visitor }
let horses: readonly Horse[]
const reader = new Reader()

const DAYS_WORKED = 14
const ASKS_A_DAY = 12
const STEPS_BEGUN = 9

const daysOfWork = (horseId: string, program: Program): readonly (readonly object[])[] =>
  Array.from({ length: DAYS_WORKED }, (_, n) => {
    const day = addDays(TODAY, -2 * (DAYS_WORKED - 1 - n))
    const session = sessionItem(horseId, `${day}T07:00:00Z`)
    const answers = Array.from({ length: ASKS_A_DAY }, (_, ask) => {
      const step = program.steps[Math.min(upTo(STEPS_BEGUN), n)]!
      return answerItem(horseId, session.session.id, {
        at: `${day}T07:${String(ask + 1).padStart(2, '0')}:00Z`,
        change: {
          step: step.key,
          side: oneOf(sidesOf(step)),
          rung: 1 + upTo(step.rungs.length - 1),
          grade: oneOf([0, 1, 1, 1, 2, 3, 4]),
          calm: oneOf([0, 0, 1, 2, null]),
          uncued: upTo(19) === 0,
          byChance: upTo(9) === 0,
          place: oneOf([1, 2, 3, 4, 5, null]),
          moving: upTo(3) === 0,
        },
      })
    })
    const takenBack = answers.filter(() => upTo(14) === 0)
    return [session, ...answers, ...takenBack.map(({ answer }) => voidItem(answer.id, `${day}T08:00:00Z`))]
  })

/** What the server says. */
const asked = async <T>(name: ReadName, named: object = {}): Promise<T> => {
  const { status, body } = await yard.starter.get<T>(`/${addressOf(name, named)}`)
  if (status !== 200) throw new Error(`${name}: ${status} ${JSON.stringify(body)}`)
  return body
}

const beginYard = async (): Promise<void> => {
  for (const name of ['Sedge', 'Snipe', 'Teal']) {
    const id = await addHorse(yard.starter, { name, born: `202${upTo(3)}-05-01` })
    const { programId } = (await asked<Horse>('horse', { horseId: id })) as Horse
    const { program } = await asked<{ program: Program }>('program', { programId })
    const items = [
      ...daysOfWork(id, program).flat(),
      incidentItem(id, {
        kind: oneOf(['kick', 'buck', 'bolt']),
        on: addDays(TODAY, -upTo(20)),
        step: program.steps[2]!.key,
        side: null,
        mounted: false,
        where: 'pen',
        before: '',
        after: '',
      }),
      confirmItem(id, TODAY, ['helper']),
    ]
    const { body } = await sendBatch(yard.starter, items, clock.iso)
    const refused = body.items.filter(({ status }) => status !== 'kept')
    if (refused.length > 0) throw new Error(JSON.stringify(refused.slice(0, 3)))
  }
}

/** Everything that a device with signal brings itself up to date with. */
const carryAll = async (): Promise<void> => {
  const now = clock.now().getTime()
  const take = async (name: ReadName, named: object = {}): Promise<void> =>
    saveReply(addressOf(name, named), await asked(name, named), now)
  await take('me')
  await take('today')
  for (const { id: horseId, programId } of horses) {
    await take('program', { programId })
    await take('sessions', { horseId })
    const { person } = await asked<Me>('me')
    const ask = (_id: string, cursor: object): Promise<Carry> => asked('carry', { horseId, ...cursor })
    await carryHorse(person.id, horseId, { ask, now })
  }
}

beforeAll(async () => {
  yard = await startYard({ now: clock.now })
  await beginYard()
  horses = (await asked<{ rows: { horse: Horse }[] }>('today')).rows.map(({ horse }) => horse)
  await carryAll()
})
afterAll(() => yard.stop())

/** What each question of a horse names, many ways. */
const askedOfHorse = async ({ id: horseId, programId }: Horse): Promise<[ReadName, object][]> => {
  const { program } = await asked<{ program: Program }>('program', { programId })
  const { sessions } = await asked<{ sessions: Session[] }>('sessions', { horseId })
  const steps = program.steps.slice(0, STEPS_BEGUN + 2).map(({ key }) => key)
  return [
    ['horse', { horseId }],
    ['line', { horseId }],
    ['line', { horseId, on: addDays(TODAY, -3) }],
    ['line', { horseId, on: addDays(TODAY, 5) }],
    ['spots', { horseId }],
    ['worked', { horseId }],
    ['evidence', { horseId }],
    ['checks', { horseId }],
    ['incidents', { horseId }],
    ['sessions', { horseId }],
    ...steps.flatMap((step): [ReadName, object][] => [
      ['stepAnswers', { horseId, step }],
      ['stepEvidence', { horseId, step }],
    ]),
    ...sessions.slice(0, 3).map(({ id }): [ReadName, object] => ['session', { sessionId: id }]),
  ]
}

/** What is told of it: a device may know more than the contract says. */
const told = (name: ReadName, value: unknown): unknown =>
  JSON.parse(JSON.stringify(routes[name].reply.parse(value)), standing)

/** Only answers that stand are carried to a device; those taken back are read with signal. */
const standing = (key: string, value: unknown): unknown =>
  key === 'answers' && Array.isArray(value)
    ? (value as { voided?: unknown }[]).filter(({ voided }) => !voided)
    : value

const here = async (name: ReadName, named: object = {}): Promise<unknown> =>
  told(name, await reader.read({ name, named }, clock.now().getTime()))

describe('both hosts say the same', () => {
  it('of the yard', async () => {
    for (const name of ['me', 'today', 'week'] as const)
      expect(await here(name), name).toEqual(told(name, await asked(name)))
  })

  it('of each horse, however it is asked', async () => {
    for (const horse of horses)
      for (const [name, named] of await askedOfHorse(horse))
        expect(await here(name, named), `${name} ${JSON.stringify(named)}`).toEqual(
          told(name, await asked(name, named)),
        )
  })
})

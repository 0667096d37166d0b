import type { ArrivalResult, Block, PutBlock } from '@still-pine/contract'
import { daysBetween } from '@still-pine/core/answer'
import { arrivalCheck, opensAfter } from '@still-pine/core/arrival'
import { snapshotOf, type Snapshot } from '@still-pine/core/blocks'
import { knownStep, rungAt, rungName, stepOf } from '@still-pine/core/program'
import { command } from '../command'
import type { Parts } from '../parts'
import { notFound, Refusal, refusedFor } from '../refusal'
import { pastDayFault } from '../times'

const WORDING = ['kind', 'from', 'until', 'worries', 'reward', 'note'] as const

/** Blocks follow each other: no day lies in two, and only the last may be open. */
const checkOrder = (others: readonly Block[], { from, until }: PutBlock): void => {
  const isApart = (other: Block): boolean =>
    (other.until !== null && other.until <= from) || (until !== null && until <= other.from)
  const inTheWay = others.find((other) => !isApart(other))
  if (inTheWay)
    throw refusedFor(
      'from',
      `Another block runs from ${inTheWay.from}${inTheWay.until ? ` to ${inTheWay.until}` : ''}: close it first.`,
    )
}

type Standing = Pick<Parts, 'horse' | 'program' | 'views' | 'incidents' | 'asksAgainst' | 'workDays'>

/** How a horse stands on the day a block ends; nothing of one that goes on. */
const frozen = (
  { horse, program, views, incidents, asksAgainst, workDays }: Standing,
  { from, until }: PutBlock,
): Snapshot | null =>
  until === null
    ? null
    : snapshotOf({
        program,
        views,
        incidents: incidents.filter(({ on, withdrawn }) => withdrawn === null && on >= from && on <= until),
        day: until,
        against: asksAgainst.map(({ step, ...one }) => ({
          ...one,
          name: knownStep(program, step)?.name ?? step,
        })),
        workDays,
        calendarDays: Math.max(0, daysBetween(horse.arrived, until)),
      })

/** Opens a block, closes it, which freezes how the horse stands, or opens it again. */
export const putBlock = command('putBlock', {
  holds: 'the horse',
  parts: ['horse', 'program', 'views', 'incidents', 'asksAgainst', 'workDays', 'blocks'],
  names: ({ from, until }) => ({ from, until: until ?? from, ...(until === null ? {} : { on: until }) }),
  decide: ({ blocks, ...standing }, { named, body: block, today }) => {
    const { horse } = standing
    const fault = pastDayFault(today, horse, block.from)
    if (fault !== null) throw refusedFor('from', fault)
    if (block.until !== null && block.until > today) throw refusedFor('until', 'This day is still to come.')
    const { blockId: id } = named
    const known = blocks.find((one) => one.id === id)
    if (known && WORDING.every((key) => known[key] === block[key])) return []
    checkOrder(
      blocks.filter((one) => one.id !== id),
      block,
    )
    if (known && known.version !== block.version)
      throw new Refusal('stale', 'This block was changed meanwhile. Look at it again, then change it.', {
        currentVersion: known.version,
      })
    // What was frozen stays frozen, unless the block is opened again or ends on another day.
    const snapshot = known?.until === block.until && known.snapshot ? known.snapshot : frozen(standing, block)
    return [{ kind: 'block', horseId: horse.id, id, block, snapshot, isNew: known === undefined }]
  },
  replies: ['blocks'],
  reply: ({ blocks }, { named }) => {
    const kept = blocks.find(({ id }) => id === named.blockId)
    if (!kept) throw notFound('This block')
    return kept
  },
})

/** What the answers of a day show when they are read as an arrival check. */
const shownOn = (
  { program, views, facts, answersOfDay }: Pick<Parts, 'program' | 'views' | 'facts' | 'answersOfDay'>,
  on: string,
): ArrivalResult | null => {
  const answers = answersOfDay
    .filter(({ uncued }) => !uncued)
    .map((answer) => ({ ...answer, rung: rungAt(stepOf(program, answer.step)!, answer.rung) }))
  if (answers.length === 0) return null
  const named = (step: string) => ({ step, name: stepOf(program, step)!.name })
  // What was asked as a check is read as one, whatever is said of the horse by now.
  const told = { program, views, facts, handled: true }
  const { asked, failed, known, end } = arrivalCheck(told, answers, on)
  return {
    school: program.name,
    asked,
    failed: failed.map(named),
    known: known.map((one) => ({ ...one, rungName: rungName(stepOf(program, one.step)!, one.rung) })),
    opens: opensAfter(told, answers, on).map(named),
    end: end ?? 'It was ended before its place on the path was settled.',
  }
}

export const putArrival = command('putArrival', {
  holds: 'the horse',
  parts: ['horse', 'program', 'views', 'facts', 'answersOfDay', 'arrivals'],
  names: ({ on }) => ({ on }),
  decide: ({ horse, arrivals, ...told }, { named: { arrivalId: id }, body: { on }, today }) => {
    if (on > today) throw refusedFor('on', 'This day is still to come.')
    if (arrivals.some((one) => one.id === id)) return []
    const result = shownOn(told, on)
    if (!result) throw refusedFor('on', `Nothing was asked of ${horse.name} that day.`)
    return [{ kind: 'arrival', horseId: horse.id, id, on, result }]
  },
  replies: ['arrivals'],
  reply: ({ arrivals }, { named }) => {
    const kept = arrivals.find(({ id }) => id === named.arrivalId)
    if (!kept) throw notFound('This arrival check')
    return kept
  },
})

export const putOwner = command('putOwner', {
  holds: 'the horse',
  parts: ['horse', 'people'],
  decide: ({ horse, people }, { body: { personId } }) => {
    if (personId !== null) {
      const person = people.find(({ id }) => id === personId)
      if (!person) throw notFound('This person')
      if (person.role !== 'owner')
        throw refusedFor('personId', `${person.name} is here as ${person.role}, not as an owner.`)
    }
    return [{ kind: 'owner', horseId: horse.id, personId }]
  },
  replies: ['owner'],
  reply: ({ owner }) => ({ owner }),
})

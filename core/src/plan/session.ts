import { count, type Day } from '../answer'
import { holdOn, mostLoadDays, type Facts } from '../facts'
import type { Gate, Program } from '../program'
import type { Views } from '../readiness'
import { learnerOf, type PlanRequest } from './asked'
import { NO_WISHES, type SessionPlan } from './burst'
import { burstFrom, lightAskFrom } from './burst-from'
import { chosenParts, worthOfAll } from './chosen'
import { dueFirst } from './due-first'
import { fieldOf, type Field } from './field'
import { closedList, leftList } from './left-out'
import { openSteps, type ClosedStep } from './open-steps'
import { inOrder, type Placed } from './order'
import { isYoung, minutesFor, ORDINARY, type Outlook } from './outlook'
import { minutesOfAll, type Part } from './parts'
import { pinnedParts, type Pinned } from './pins'
import { chooseWithinRide, minutesInSaddle } from './ride-minutes'
import { NOTHING_YET, type Today } from './today'

/** The shortest session that is one. */
const LEAST_MINUTES = 2

const resting = (
  day: Day,
  reason: string,
  { closed, remarks = [] }: { closed: readonly ClosedStep[]; remarks?: readonly string[] },
): SessionPlan => ({
  day,
  rests: true,
  reason,
  minutes: 0,
  bursts: [],
  kit: [],
  closed: closedList(closed),
  left: [],
  remarks,
  worth: 0,
})

const loadRemark = ({ loadDays }: Outlook, facts: Facts, on: Day): readonly string[] =>
  loadDays >= mostLoadDays(facts, on)
    ? [`${count(loadDays, 'load day')} this week are enough at its age: handling only today.`]
    : []

const gateRemark = (gate: Gate | null): readonly string[] =>
  gate
    ? [`Pass all its first asks, and the ${gate.name} gate is Go for today: the rest is planned again then.`]
    : []

/** A ride has its own minutes, by its number and by how the last one went. */
const rideRemark = (most: number | null, parts: readonly Part[]): readonly string[] => {
  const ridden = minutesInSaddle(parts)
  if (most === null || ridden === 0) return []
  const may = Math.floor(2 * most) / 2
  return ridden > most
    ? [`About ${Math.ceil(ridden)} minutes in the saddle: this ride may have ${may}.`]
    : [`In the saddle ${may} minutes at most, whatever is left of the session.`]
}

/** The step worked last, so that the rest does not begin with it. */
const workedBefore = ({ last }: Today): readonly Placed[] =>
  last === null ? [] : [{ step: last, role: 'learn', worth: 0, endsWell: true, after: [], at: null }]

const minutesReason = (minutes: number, young: boolean, rule: string | null): string => {
  if (young) return `${minutes} minutes of handling: under two years old, so short.`
  return `${minutes} minutes on the ground${rule ? `: ${rule}` : ''}.`
}

const restsBecause = ({ candidates, barred }: Field): string => {
  if (candidates.length > 0) return 'Rests: everything that is open holds and was asked this week.'
  return barred.length > 0
    ? `Rests: today allows none of what is open (${barred[0]!.step.name.toLowerCase()}: ${barred[0]!.words}).`
    : 'Rests: nothing is open. Look at the steps to see what each one waits for.'
}

/**
 * Today's plan for one horse: which steps, at which rung, which side first, how many asks, and why. The steps are
 * those that save most work days on the way to the gates ahead, within the minutes and the rules of a session; the
 * same input gives the same plan.
 */
export const planSession = (
  program: Program,
  views: Views,
  { facts, on, asked = {} }: { facts: Facts; on: Day; asked?: PlanRequest },
): SessionPlan => {
  const {
    outlook = ORDINARY,
    wishes = NO_WISHES,
    learner = learnerOf(program, views),
    today = NOTHING_YET,
  } = asked
  const hold = holdOn(facts, on)
  if (hold?.leaves === 'nothing')
    return resting(on, `Rests: veterinary hold since ${hold.on}${hold.until ? `, to ${hold.until}` : ''}.`, {
      closed: [],
    })
  if (facts.offWork) return resting(on, facts.offWork, { closed: [] })
  const { open, closed } = openSteps(program, views, { facts, on })
  const { minutes: whole, rule } = minutesFor(outlook, facts, on)
  const minutes = Math.max(0, whole - today.minutes)
  if (minutes < LEAST_MINUTES)
    return resting(
      on,
      today.last === null
        ? `Rests: ${minutes} minutes are too few for a burst and a good ending.`
        : 'The minutes are used: leave it here.',
      { closed },
    )
  const field = fieldOf(program, views, { facts, on, open, asked })
  const allowed = field.candidates.filter(({ open }) => !wishes.without.includes(open.step.key))
  const pinned: Pinned = pinnedParts(program, learner, {
    on,
    candidates: allowed,
    barred: [...closed, ...field.barred],
    wishes,
  })
  const rideMinutes = facts.rideMinutes ?? null
  const choice = chooseWithinRide(allowed, rideMinutes, (candidates) =>
    chosenParts(field, candidates, { minutes, pinned: pinned.parts, today }),
  )
  const due = dueFirst({ program, views, facts }, allowed, [...choice.parts, ...pinned.parts])
  const fixed = due
    ? [...pinned.parts.filter(({ step }) => due.parts.every((one) => one.step !== step)), ...due.parts]
    : pinned.parts
  const { parts: chosen, gate } = due
    ? chooseWithinRide(due.candidates, rideMinutes, (candidates) =>
        chosenParts(field, candidates, { minutes, pinned: fixed, today }),
      )
    : choice
  const parts = inOrder([...chosen, ...fixed], workedBefore(today))
  if (parts.length === 0) return resting(on, restsBecause(field), { closed, remarks: pinned.remarks })
  const lightAsk = lightAskFrom(open)
  const bursts = parts.map((part, i) =>
    burstFrom(program, part, {
      isAgain: parts.slice(0, i).some(({ step }) => step === part.step),
      lightAsk,
      on,
    }),
  )
  const taken = Math.round(minutesOfAll(parts))
  const young = isYoung(facts, on)
  const over =
    taken > minutes
      ? [`About ${taken} minutes, ${taken - minutes} more than there are: shorten a burst or leave one out.`]
      : []
  return {
    day: on,
    rests: false,
    reason: minutesReason(taken, young, rule),
    minutes: taken,
    bursts,
    kit: [...new Set(bursts.flatMap(({ kit }) => kit))],
    closed: closedList(closed),
    left: leftList(field, parts, wishes.without),
    remarks: [
      ...loadRemark(outlook, facts, on),
      ...rideRemark(rideMinutes, parts),
      ...pinned.remarks,
      ...gateRemark(gate),
      ...over,
    ],
    worth: worthOfAll(parts),
  }
}

import { addDays, daysBetween, plural, type Day } from '../answer'
import { isLoadAtPace } from '../counters'
import { INCIDENT_WORDS, latestCheck, type Facts, type Incident } from '../facts'
import {
  exposuresAt,
  sidesOf,
  stepOf,
  stepServing,
  type Exposure,
  type Program,
  type Service,
  type Step,
} from '../program'
import type { TrackView } from './judge'
import { trackKey, type Views } from './track-key'

/** Days after an incident during which nothing it closed is asked at all. */
export const INCIDENT_DAYS = 3

/** A first ask that must pass again, on every side: at the required rung, or at one that is named. */
interface Proof {
  readonly step: string
  readonly rung: number | null
}

/** What an incident closes, and what opens it again. */
export interface Closing {
  readonly incident: Incident
  /** The day from which the proofs may be asked. */
  readonly until: Day
  /** What must pass again before anything of it opens. */
  readonly proofs: readonly Proof[]
  /** Whether it closes this rung now. */
  readonly closes: (step: string, rung: number) => boolean
  /** Whether it has closed this rung since it happened, open again or not. */
  readonly hasClosed: (step: string, rung: number) => boolean
  readonly words: string
}

interface Rule {
  readonly touches: (step: Step, rung: number) => boolean
  readonly proofs: readonly Proof[]
  /** Steps closed beyond their proofs from a rung on, until they pass a rung below it. */
  readonly after?: { readonly step: string; readonly from: number }
  /** A look at the tack is wanted too. */
  readonly tack?: boolean
}

const at = (step: string, rung: number | null = null): Proof => ({ step, rung })

/** Asked again of whatever step of the path serves so; a path without one has nothing to prove it by. */
const proofsBy = (program: Program, ...services: readonly Service[]): readonly Proof[] =>
  services.flatMap((service) => {
    const step = stepServing(program, service)
    return step ? [at(step.key)] : []
  })

const exposesTo =
  (...closed: readonly Exposure[]) =>
  (step: Step, rung: number): boolean =>
    exposuresAt(step, rung).some((one) => closed.includes(one))

const UNDER_A_PERSON: readonly Exposure[] = ['weight', 'mounted', 'off-lead', 'out', 'canter', 'jump']

const viewsOfStep = (program: Program, views: Views, key: string): readonly TrackView[] => {
  const step = stepOf(program, key)
  return step ? sidesOf(step).map((side) => views.get(trackKey(key, side))!) : []
}

const hardestAsked = (program: Program, views: Views, key: string): number =>
  Math.max(0, ...viewsOfStep(program, views, key).map(({ hardest }) => hardest))

const exposedAtIncident = (program: Program, { step, rung }: Incident): readonly Exposure[] => {
  const known = step === null ? undefined : stepOf(program, step)
  return known ? exposuresAt(known, rung ?? known.requiredRung) : []
}

/** With a person up or any weight on: nothing above the ground until the brakes hold, and then a rung below. */
const underAPerson = (program: Program, views: Views, incident: Incident): Rule => {
  const { step } = incident
  const rung = step === null ? 0 : (incident.rung ?? hardestAsked(program, views, step))
  return {
    touches: exposesTo(...UNDER_A_PERSON),
    proofs: proofsBy(program, 'bends', 'yields-hind', 'stands'),
    ...(step !== null && rung > 1 ? { after: { step, from: rung } } : {}),
  }
}

/** In hand, on the line or on long lines. */
const gotAway = (program: Program): Rule => {
  const exposed = exposesTo('out', 'lines', 'canter')
  return {
    touches: (step, rung) => exposed(step, rung) || isLoadAtPace(step, rung),
    proofs: proofsBy(program, 'sends', 'stops-on-circle', 'steps-back'),
  }
}

const inTack = (program: Program, views: Views, incident: Incident): Rule => {
  const inSaddle = stepServing(program, 'moves-in-saddle')?.key
  const proving =
    inSaddle !== undefined && hardestAsked(program, views, inSaddle) > 0 ? inSaddle : incident.step
  const stood =
    proving === null
      ? 1
      : incident.step === proving && incident.rung
        ? incident.rung
        : hardestAsked(program, views, proving)
  return {
    touches: exposesTo('girth'),
    proofs: proving === null ? [] : [at(proving, Math.max(1, stood - 1))],
    tack: true,
  }
}

const pulledBack = (program: Program): Rule => ({
  touches: exposesTo('tied', 'tied-fast'),
  proofs: [
    ...proofsBy(program, 'gives-to-halter', 'leads'),
    ...program.steps.flatMap((step) => {
      const rung = step.rungs.findLastIndex((_, i) => exposuresAt(step, i + 1).includes('tied')) + 1
      return rung > 0 ? [at(step.key, rung)] : []
    }),
  ],
})

/** A person was hurt: not that part, no feet, nobody up. */
const hurtAPerson = (program: Program, { step }: Incident): Rule => {
  const known = step === null ? undefined : stepOf(program, step)
  const others = exposesTo('feet', 'mounted')
  const reach = exposesTo('reach')
  return {
    touches: (one, rung) =>
      others(one, rung) || (known ? one.key === known.key : false) || (step === null && reach(one, rung)),
    proofs: [...proofsBy(program, 'yields-hind', 'steps-back'), ...(step === null ? [] : [at(step, 1)])],
  }
}

/** What an incident closes by its kind; `null` where it closes nothing but what a caution says. */
const ruleFor = (program: Program, views: Views, incident: Incident): Rule | null => {
  const { kind, mounted = false, hurt = 'none' } = incident
  switch (kind) {
    case 'bolt':
      return mounted ? underAPerson(program, views, incident) : gotAway(program)
    case 'broke-away':
      return gotAway(program)
    case 'rear':
      return mounted ? underAPerson(program, views, incident) : null
    case 'buck':
    case 'fall':
      if (mounted) return underAPerson(program, views, incident)
      return exposedAtIncident(program, incident).includes('girth') ? inTack(program, views, incident) : null
    case 'tack-slipped':
      return inTack(program, views, incident)
    case 'pull-back':
      return pulledBack(program)
    case 'kick':
    case 'strike':
    case 'bite':
      return hurt === 'person' ? hurtAPerson(program, incident) : null
    case 'lame':
    case 'attention-lost':
      return null
  }
}

const passedSince = (
  program: Program,
  views: Views,
  { proof: { step, rung }, since }: { proof: Proof; since: Day },
): boolean =>
  viewsOfStep(program, views, step).every(({ lastCold, recentDays }) =>
    rung === null
      ? lastCold !== null && lastCold.passed && lastCold.day > since
      : recentDays.some(
          ({ day, first }) => day > since && first !== null && first.passed && first.rung >= rung,
        ),
  )

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

const proofWords = (program: Program, { step, rung }: Proof): string => {
  const known = stepOf(program, step)
  const name = known?.name.toLowerCase() ?? step
  return rung === null ? name : `${name} at rung ${rung}`
}

const isTackSeen = ({ checks }: Facts, since: Day, on: Day): boolean => {
  const look = latestCheck(checks, 'saddle', on)
  return look !== undefined && look.passed && look.on >= since
}

const closingFrom = (
  program: Program,
  views: Views,
  { facts, incident, on }: { facts: Facts; incident: Incident; on: Day },
): Closing | null => {
  const rule = ruleFor(program, views, incident)
  if (!rule) return null
  const until = addDays(incident.on, INCIDENT_DAYS)
  const isWaiting = daysBetween(incident.on, on) < INCIDENT_DAYS
  const proofs = rule.proofs.filter(({ step }) => stepOf(program, step) !== undefined)
  const open = proofs.filter((proof) => !passedSince(program, views, { proof, since: incident.on }))
  const wantsTack = rule.tack === true && !isTackSeen(facts, incident.on, on)
  const isShut = isWaiting || open.length > 0 || wantsTack
  const after =
    rule.after &&
    !passedSince(program, views, { proof: at(rule.after.step, rule.after.from - 1), since: incident.on })
      ? rule.after
      : undefined
  const touches = (key: string, rung: number): boolean => {
    const step = stepOf(program, key)
    return step !== undefined && rule.touches(step, rung)
  }
  /** A proof that is itself closed may be asked once the days are over and all before it has passed. */
  const isProofNow = (key: string, rung: number): boolean => {
    if (isWaiting || wantsTack) return false
    const [next] = open
    if (next === undefined || next.step !== key) return false
    const most = next.rung ?? stepOf(program, key)!.requiredRung
    return rung <= most
  }
  const name = INCIDENT_WORDS[incident.kind]
  const wants = [
    ...(wantsTack ? ['the tack is checked'] : []),
    ...(open.length > 0
      ? [
          `${listed(open.map((proof) => proofWords(program, proof)))} ${plural(open.length, 'has', 'have')} passed a first ask again`,
        ]
      : []),
  ]
  return {
    incident,
    until,
    proofs: open,
    closes: (key, rung) =>
      isShut
        ? touches(key, rung) && !isProofNow(key, rung)
        : after !== undefined && key === after.step && rung >= after.from,
    hasClosed: touches,
    words: `${name.charAt(0).toUpperCase()}${name.slice(1)} on ${incident.on}${incident.mounted ? ' with a person up' : ''}: shut${
      isWaiting ? ` to ${until}` : ''
    }${wants.length > 0 ? `${isWaiting ? ', and' : ''} until ${listed(wants)}` : ''}${
      !isShut && after ? ` at this rung until it has passed a rung below` : ''
    }.`,
  }
}

const made = new WeakMap<
  Views,
  { readonly facts: Facts; readonly on: Day; readonly closings: readonly Closing[] }
>()

/** What the incidents of a horse have closed up to a day, open again or not. */
export const closingsOf = (
  program: Program,
  views: Views,
  { facts, on }: { facts: Facts; on: Day },
): readonly Closing[] => {
  const known = made.get(views)
  if (known?.facts === facts && known.on === on) return known.closings
  const closings = facts.incidents
    .filter((incident) => incident.on <= on)
    .map((incident) => closingFrom(program, views, { facts, incident, on }))
    .filter((closing) => closing !== null)
  made.set(views, { facts, on, closings })
  return closings
}

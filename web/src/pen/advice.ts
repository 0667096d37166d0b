import type { Line } from '@still-pine/contract'
import {
  adviceFor,
  count,
  feetHaveGoneDull,
  usualGrade,
  type Advice,
  type Side,
} from '@still-pine/core/answer'
import { setAdvice } from '@still-pine/core/holds'
import { approachesOf, leaveOffNow, mindNow, signOf } from '@still-pine/core/leave-off'
import type { Program } from '@still-pine/core/program'
import { traceRidden, traceWords, type Traced } from '@still-pine/core/ride'
import { viewsIn } from '../shared/views-in'
import type { Aim } from './pen-slice'
import type { PenView } from './use-pen'

const MINUTE_MS = 60_000

/** What was seen since the session began, and how the track that is asked now settles. */
const seenSoFar = ({ pen, answers, step }: PenView, nowMs: number) => {
  const startedAt = Date.parse(pen.answers[0]?.at ?? '') || nowMs
  const minuteOf = (at: number): number => Math.max(0, (at - startedAt) / MINUTE_MS)
  const seen = pen.answers.flatMap(({ sign, at }) => {
    const known = sign === null ? null : signOf(sign)
    return known === null ? [] : [{ sign: known, minute: minuteOf(Date.parse(at)) }]
  })
  const settled = answers.filter(
    ({ side, recalled }) => step.kind === 'accept' && !recalled && side === pen.aim.side,
  )
  const approaches = approachesOf(settled.map(({ at, seconds }) => ({ at: Date.parse(at), seconds })))
  return { minute: minuteOf(nowMs), seen, approaches }
}

/** Advice on the track now asked: danger first, then what cannot wait, then the burst, then what is to be minded. */
export const penAdvice = (view: PenView, nowMs: number): Advice | null => {
  const { pen, answers } = view
  const { side } = pen.aim
  const asked = answers.filter(({ recalled }) => !recalled)
  const ofBurst = adviceFor({
    here: asked.filter((answer) => answer.side === side),
    there: asked.filter((answer) => answer.side !== side),
    side,
    seconds: Math.max(0, (nowMs - pen.burstStartedAt) / 1000),
    danger: pen.danger,
  })
  if (ofBurst?.kind === 'danger') return ofBurst
  const soFar = seenSoFar(view, nowMs)
  const ofSet = setAdvice(asked.filter((answer) => answer.side === side && !answer.uncued))
  return leaveOffNow(soFar) ?? ofBurst ?? ofSet ?? mindNow(soFar)
}

const TRACED: Readonly<Record<Exclude<Traced['says'], 'goes-well'>, Pick<Advice, 'kind' | 'headline'>>> = {
  'look-for-pain': { kind: 'danger', headline: 'Get down and look' },
  'no-twin': { kind: 'leave', headline: 'Teach it on the ground' },
  'not-understood': { kind: 'smaller', headline: 'Not understood from up there' },
  'not-learnt': { kind: 'leave', headline: 'Back to the ground' },
  'not-known': { kind: 'smaller', headline: 'Is it known on the ground?' },
}

/** Why a ridden ask goes badly, by how the same stands on the ground. */
export const tracedAdvice = (
  { pen, answers, step }: PenView,
  line: Line,
  program: Program,
): Advice | null => {
  const { side } = pen.aim
  const asks = answers.filter((answer) => answer.side === side && !answer.recalled && !answer.uncued)
  const traced = traceRidden(program, viewsIn(line), { step, side, asks, on: line.day })
  const reason = traced && traceWords(traced)
  return traced && reason ? { ...TRACED[traced.says as keyof typeof TRACED], reason } : null
}

/** Advice that wants more of this burst than was planned. */
const WANTS_MORE: readonly Advice['kind'][] = ['smaller', 'uneven', 'other-side']

/** Whether the burst has what was planned on every side, and nothing wants more of it: in words, or `null`. */
export const burstDone = (view: PenView, nowMs: number): string | null => {
  const { pen, answers, step } = view
  const burst = pen.aim.burst === null ? undefined : pen.bursts[pen.aim.burst]
  if (!burst || burst.step !== step.key || pen.running) return null
  const asked = (side: Side): number =>
    answers.filter(
      (answer) => answer.side === side && answer.at >= new Date(pen.burstStartedAt).toISOString(),
    ).length
  const planned = burst.sides.reduce((sum, { asks }) => sum + asks, 0)
  if (planned === 0 || burst.sides.some(({ side, asks }) => asked(side) < asks)) return null
  const advice = penAdvice(view, nowMs)
  return advice && WANTS_MORE.includes(advice.kind) ? null : `${count(planned, 'ask')} done, as planned`
}

/** The light ask that follows an accept burst, where the plan has one. */
const lightAskOf = ({ pen }: PenView) =>
  pen.aim.burst === null ? null : (pen.bursts[pen.aim.burst]?.lightAsk ?? null)

const isAtLightAsk = (view: PenView): boolean => lightAskOf(view)?.step === view.step.key

/** Where the light ask aims, once the accept was worked and the feet have not been asked yet. */
export const aimAtFeet = (view: PenView, line: Line): Aim | null => {
  const ask = lightAskOf(view)
  if (!ask || view.step.kind !== 'accept' || view.answers.length === 0) return null
  const sides: readonly Side[] = line.tracks.filter(({ step }) => step === ask.step).map(({ side }) => side)
  const side = sides.includes(view.pen.aim.side) ? view.pen.aim.side : sides[0]
  return side === undefined ? null : { burst: view.pen.aim.burst, step: ask.step, side, rung: ask.rung }
}

/** After the light ask: whether the feet still listen. */
export const feetAdvice = (view: PenView, line: Line): Advice | null => {
  if (!isAtLightAsk(view)) return null
  const last = view.answers.at(-1)
  if (!last || view.pen.running) return null
  const track = line.tracks.find(({ step, side }) => step === last.step && side === last.side)
  const usual = usualGrade(track?.view.recent ?? [])
  return feetHaveGoneDull(usual, last.grade)
    ? {
        kind: 'pattern',
        headline: 'The feet have gone to sleep',
        reason: 'Two grades worse than usual: leave the quieting and wake the feet.',
      }
    : { kind: 'leave', headline: 'The feet still listen', reason: 'As light as usual. Go on.' }
}

import type { StepAnswer } from '@still-pine/contract'
import { count, ENDING_WORDS, type Side, chancePercent } from '@still-pine/core/answer'
import {
  AHEAD_DAYS,
  firstAndLast,
  medianOf,
  seenIn,
  type GapOn,
  type Moment,
} from '@still-pine/core/evidence'
import { ago, upperFirst } from '@still-pine/core/readiness'
import { shortDay } from '../../shared/words'

const LAST = 8

const onSide = (side: Side, words: string): string => (side === 'none' ? words : `${side} ${words}`)

/** "Of the last 8, left 7 light, right 5 light." */
export const lightnessInWords = (
  sides: readonly { readonly side: Side; readonly answers: readonly { readonly grade: number }[] }[],
): string => {
  const told = sides.map(({ side, answers }) => {
    const last = answers.slice(-LAST)
    if (last.length === 0) return onSide(side, 'not asked yet')
    const light = last.filter(({ grade }) => grade <= 1).length
    return onSide(side, `${light} of the last ${last.length} light`)
  })
  return `${upperFirst(told.join(', '))}.`
}

const onDay = (moments: readonly Moment[], on: string): Moment | undefined =>
  moments.findLast(({ day }) => day <= on)

/** "Today left 84 %, right 72 %; four weeks of rest would leave 71 % and 60 %." */
export const chanceInWords = (
  sides: readonly { readonly side: Side; readonly moments: readonly Moment[] }[],
  on: string,
): string => {
  const asked = sides.filter(({ moments }) => moments.length > 0)
  if (asked.length === 0) return 'Nothing asked yet, so nothing to draw.'
  const today = asked.map(({ side, moments }) => onSide(side, chancePercent(onDay(moments, on)!.chance)))
  const then = asked.map(({ moments }) => chancePercent(moments.at(-1)!.chance))
  return `Today ${today.join(', ')}; ${AHEAD_DAYS / 7} weeks of rest would leave ${then.join(' and ')}.`
}

/** "The right is 12 points behind; it was 30 at its widest, on 4 May." */
export const gapInWords = (gaps: readonly GapOn[]): string => {
  const now = gaps.at(-1)!.gap
  const widest = gaps.reduce((most, one) => (Math.abs(one.gap) > Math.abs(most.gap) ? one : most))
  const points = (gap: number): number => Math.round(Math.abs(gap) * 100)
  const behind = (gap: number): string => (gap > 0 ? 'right' : 'left')
  const today =
    points(now) === 0 ? 'The sides are even' : `The ${behind(now)} is ${count(points(now), 'point')} behind`
  return points(widest.gap) === points(now)
    ? `${today}.`
    : `${today}; at its widest the ${behind(widest.gap)} was ${points(widest.gap)} behind, on ${shortDay(widest.day)}.`
}

const MANY = 5

/** "Settles in 4 s in the middle, 12 s at first." Empty where no time was taken. */
export const settleInWords = (answers: readonly StepAnswer[]): string => {
  const seconds = answers.flatMap(({ seconds }) => (seconds === null ? [] : [seconds]))
  const middle = medianOf(seconds)
  if (middle === null) return ''
  const both = firstAndLast(seconds, MANY)
  return both
    ? `${both.last} s to settle in the last ${MANY}, ${both.first} s in the first ${MANY}.`
    : `${middle} s to settle, from ${count(seconds.length, 'answer')}.`
}

/** "Let go 0.6 s after the try, pull up to 41 N, from 12 answers." Empty where no gauge was on the rope. */
export const feelInWords = (answers: readonly StepAnswer[]): string => {
  const release = answers.flatMap(({ releaseSeconds }) => (releaseSeconds === null ? [] : [releaseSeconds]))
  const pull = answers.flatMap(({ peakNewtons }) => (peakNewtons === null ? [] : [peakNewtons]))
  const parts = [
    release.length > 0 ? `let go ${medianOf(release)} s after the try` : '',
    pull.length > 0
      ? `a pull of ${Math.round(medianOf(pull)!)} N, ${Math.round(Math.max(...pull))} N at most`
      : '',
  ].filter(Boolean)
  return parts.length === 0
    ? ''
    : `${upperFirst(parts.join('; '))}: the middle of ${count(Math.max(release.length, pull.length), 'answer')} with the gauge on.`
}

/** How accepts ended, the most frequent first. */
export const endingsInWords = (answers: readonly StepAnswer[], on: string): readonly string[] =>
  seenIn(answers, ({ ending }) => ending && ENDING_WORDS[ending]).map(
    ({ what, times, lastDay }) => `${upperFirst(what)}: ${count(times, 'time')}, last ${ago(lastDay, on)}.`,
  )

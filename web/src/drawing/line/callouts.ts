import type { Line } from '@still-pine/contract'
import { count, daysBetween } from '@still-pine/core/answer'
import type { Program, Step } from '@still-pine/core/program'

/** A step worth naming on the drawing, and why. */
export interface Callout {
  readonly step: string
  readonly words: string
  readonly tone: 'worn' | 'way'
  /** Greater is named first where there is no room for all. */
  readonly weight: number
}

type Track = Line['tracks'][number]

const sideWord = (side: Track['side']): string => (side === 'none' ? '' : `, ${side}`)

const NOTICEABLE_GAP = 0.15

const wornCallout = (step: Step, tracks: readonly Track[], day: string): Callout | null => {
  const name = step.name.toLowerCase()
  const slipped = tracks.filter(({ view }) => view.state === 'slipped')
  if (slipped.length > 0) {
    const side = slipped.length === tracks.length ? '' : sideWord(slipped[0]!.side)
    return { step: step.key, words: `${name}${side}: slipped`, tone: 'worn', weight: 4 }
  }
  const rusty = tracks.find(({ view }) => view.state === 'rusty')
  if (!rusty || rusty.view.lastDay === null) return null
  const days = daysBetween(rusty.view.lastDay, day)
  return { step: step.key, words: `${name}: not asked for ${count(days, 'day')}`, tone: 'worn', weight: 3 }
}

const weakCallout = (step: Step, tracks: readonly Track[]): Callout | null => {
  const asked = tracks.filter(({ view }) => view.answers > 0)
  if (asked.length === 0) return null
  const [weaker, stronger] = [...tracks].sort((a, b) => a.view.chance - b.view.chance)
  const chance = Math.floor(weaker!.view.chance * 100)
  const name = step.name.toLowerCase()
  if (stronger && stronger.view.chance - weaker!.view.chance >= NOTICEABLE_GAP) {
    const words =
      weaker!.view.answers === 0
        ? `${name}: ${weaker!.side} not asked`
        : `${name}, ${weaker!.side} ${chance} %`
    return { step: step.key, words, tone: 'way', weight: 2 + (stronger.view.chance - weaker!.view.chance) }
  }
  return weaker!.view.state === 'started'
    ? { step: step.key, words: `${name}${sideWord(weaker!.side)} ${chance} %`, tone: 'way', weight: 1 }
    : null
}

/** What is slipped, stale, one-sided or weak; the heaviest first. */
export const calloutsOf = (program: Program, line: Line): readonly Callout[] =>
  program.steps
    .map((step) => {
      const tracks = line.tracks.filter((track) => track.step === step.key)
      return wornCallout(step, tracks, line.day) ?? weakCallout(step, tracks)
    })
    .filter((callout) => callout !== null)
    .sort((a, b) => b.weight - a.weight)

/** One sentence on top of the Line: how far, and what holds it back. */
export const lineSentence = (program: Program, line: Line): string => {
  const stepState = (key: string): string[] =>
    line.tracks.filter((t) => t.step === key).map((t) => t.view.state)
  const solid = program.steps.filter(({ key }) => stepState(key).every((state) => state === 'solid')).length
  const begun = program.steps.filter(({ key }) => stepState(key).some((state) => state !== 'new')).length
  if (begun === 0) return 'Nothing asked yet. It begins with settling in the pen.'
  const held = calloutsOf(program, line).slice(0, 2)
  const back = held.length > 0 ? ` Look first at ${held.map(({ words }) => words).join(' and ')}.` : ''
  return `${solid} of the ${begun} steps begun are Solid.${back}`
}

import type { Line } from '@still-pine/contract'
import { postsAt, type Program } from '@still-pine/core/program'
import { VERDICTS } from '../../shared/words'
import type { Post } from './layout'

type Gate = Line['gates'][number]

/** How a gate's post stands on the rope. */
export interface PostLook {
  readonly words: string
  readonly colour: string
  readonly fill: string
}

const VERDICT_COLOUR: Record<Gate['verdict'], string> = {
  go: 'var(--solid)',
  'check-first': 'var(--worn)',
  'not-yet': 'var(--quiet)',
  stop: 'var(--stop)',
}

/** Where every gate's post hangs. */
export const postsOf = (program: Program): readonly Post[] =>
  program.steps.flatMap(({ key }) =>
    postsAt(program, key).map(({ key: gate, guards }) => ({
      gate,
      step: key,
      where: guards.kind === 'step' ? 'before' : 'after',
    })),
  )

/** Whether the horse has learnt what the gate guards: its post lies behind. */
export const isBehind = (program: Program, line: Line, { gate }: Gate): boolean => {
  const guards = program.gates.find(({ key }) => key === gate)?.guards
  if (guards?.kind !== 'step') return false
  return line.tracks
    .filter(({ step }) => step === guards.step)
    .every(({ view }) => view.state === 'solid' || view.state === 'rusty')
}

/** A gate few of whose tracks were asked yet has nothing to say. */
const isFar = ({ tracks }: Gate): boolean =>
  tracks.length === 0 || tracks.filter(({ state }) => state !== 'new').length < tracks.length / 3

const CONFIRMED_AT_THE_PEN: ReadonlySet<string> = new Set([
  'helper',
  'helmet',
  'safe-rail',
  'company',
  'rider-share',
])

/** Stopped by nothing but what somebody confirms at the pen on the day. */
const waitsForTheDay = ({ verdict, stops }: Gate): boolean =>
  verdict === 'stop' && stops.every(({ rule }) => CONFIRMED_AT_THE_PEN.has(rule))

/** A post stands quietly while its gate is far, or behind and only to be confirmed again on the day. */
export const postLook = (program: Program, line: Line, gate: Gate): PostLook =>
  isFar(gate) || (isBehind(program, line, gate) && waitsForTheDay(gate))
    ? { words: gate.name, colour: 'var(--quiet)', fill: 'var(--line)' }
    : {
        words: `${gate.name} · ${VERDICTS[gate.verdict]}`,
        colour: VERDICT_COLOUR[gate.verdict],
        fill: VERDICT_COLOUR[gate.verdict],
      }

/** The gate that comes next: the one that is told as shut, or else the first ahead that is not at Go. */
export const nextGate = (program: Program, line: Line): Gate | undefined =>
  line.gates.find(({ gate }) => line.shut.some((one) => one.gate === gate)) ??
  line.gates.find((gate) => gate.verdict !== 'go' && !isBehind(program, line, gate)) ??
  line.gates.at(-1)

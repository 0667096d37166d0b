import { chanceInWords } from '@still-pine/core/readiness'
import type { Line } from '@still-pine/contract'
import { STAGES, type Program, type Step } from '@still-pine/core/program'
import { Link } from 'react-router'
import { STATE_WORDS, VERDICTS } from '../../shared/words'
import type { Callout } from './callouts'
import { placeLabels, type Point, type RopeRow } from './layout'
import { postLook } from './posts'
import { Scale, type ScaleHalf } from './scale'
import { textWidth } from './use-size'

const NAME_FONT = '"Bricolage Grotesque Variable", sans-serif'
const READ_FONT = '"Atkinson Hyperlegible Next Variable", sans-serif'

const LANES = 2
/** Sizes in rem, so that all of it grows with the letters. */
export const SIZE = { label: 0.86, laneHeight: 1.15, scale: 2.7, sag: 0.7 }

/** What a step's scale shows, half by half. */
export const halvesOf = (line: Line, step: Step): readonly ScaleHalf[] =>
  line.tracks
    .filter((track) => track.step === step.key)
    .map(({ side, view }) => ({ side, state: view.state, chance: view.chance }))

/** A step in one breath: for a reader, and under the drawing when it has focus. */
export const stepSentence = (line: Line, step: Step): string => {
  const each = line.tracks
    .filter((track) => track.step === step.key)
    .map(({ side, view }) =>
      [side === 'none' ? '' : side, STATE_WORDS[view.state], view.state === 'new' ? '' : chanceInWords(view)]
        .filter(Boolean)
        .join(' '),
    )
  return `${step.name}: ${each.join(', ')}`
}

interface RowProps {
  readonly program: Program
  readonly line: Line
  readonly row: RopeRow
  readonly steps: readonly Step[]
  readonly callouts: readonly Callout[]
  readonly width: number
  readonly rem: number
  readonly focus: string | null
  readonly tabStop: string
  readonly onFocus: (step: string | null) => void
}

const needsOf = (program: Program, step: string | null): ReadonlySet<string> =>
  new Set(program.steps.find(({ key }) => key === step)?.needs.map((need) => need.step ?? '') ?? [])

const thread = (from: Point, to: Point, drop: number): string =>
  `M${from.x} ${from.y}C${from.x} ${from.y + drop} ${to.x} ${to.y + drop} ${to.x} ${to.y}`

/** One row of the rope with its posts, its scales and what is worth naming. */
export const RopeRowDrawing = ({
  program,
  line,
  row,
  steps,
  callouts,
  width,
  rem,
  focus,
  tabStop,
  onFocus,
}: RowProps) => {
  const label = SIZE.label * rem
  const lane = SIZE.laneHeight * rem
  const measure = (text: string): number => textWidth(text, label, { family: READ_FONT }) + 4
  // A rope of one stage hangs under its own heading.
  const titled = row.stages.length > 1 ? row.stages : []
  const titles = placeLabels(
    titled.map(({ stage, x }) => ({
      key: String(stage),
      x,
      width: textWidth(`${stage} ${STAGES[stage - 1]}`, label, { family: NAME_FONT }) + 4,
      aligns: ['start'] as const,
    })),
    width,
    { lanes: LANES },
  )
  const titleLanes = Math.max(-1, ...titles.map((t) => t.lane)) + 1
  const gates = line.gates.filter(({ gate }) => row.posts.has(gate))
  const looks = new Map(gates.map((gate) => [gate.gate, postLook(program, line, gate)]))
  const gateLabels = placeLabels(
    gates.map((gate) => ({
      key: gate.gate,
      x: row.posts.get(gate.gate)!.x,
      width: measure(looks.get(gate.gate)!.words),
      aligns: ['middle', 'end', 'start'] as const,
    })),
    width,
    { lanes: LANES + 1, posts: [...row.posts.values()].map(({ x }) => x) },
  )
  const gateLanes = gateLabels.length > 0 ? Math.max(...gateLabels.map((g) => g.lane)) + 1 : 0
  const own = callouts.filter(({ step }) => row.steps.has(step))
  const named = placeLabels(
    own.map(({ step, words }) => ({
      key: step,
      x: row.steps.get(step)!.x,
      width: measure(words),
      aligns: ['middle', 'start', 'end'] as const,
    })),
    width,
    { lanes: LANES },
  )
  const namedLanes = named.length > 0 ? Math.max(...named.map((n) => n.lane)) + 1 : 0
  const scaleHeight = SIZE.scale * rem
  const top = titleLanes * lane + gateLanes * lane + scaleHeight + 0.4 * rem
  const sag = SIZE.sag * rem
  const height = top + 2 * sag + namedLanes * lane + 0.4 * rem
  const scaleWidth = Math.min(row.slot * 0.78, scaleHeight * 0.62)
  const needed = needsOf(program, focus)
  return (
    <svg width={width} height={height} className="block overflow-visible">
      {titles.map((title) => (
        <text
          key={title.key}
          x={title.left}
          y={(title.lane + 0.8) * lane}
          fontSize={label}
          fontWeight={700}
          fontFamily={NAME_FONT}
          fill="var(--quiet)"
        >
          {title.key} {STAGES[Number(title.key) - 1]}
        </text>
      ))}
      <g transform={`translate(0 ${top})`}>
        <path d={row.rope} fill="none" stroke="var(--rope)" strokeWidth={4} strokeLinecap="round" />
        <path d={row.rope} fill="none" stroke="var(--ground)" strokeWidth={1.2} strokeDasharray="3 5" />
        {focus &&
          row.steps.has(focus) &&
          [...needed].map((step) => {
            const from = row.steps.get(step)
            return (
              from && (
                <path
                  key={step}
                  d={thread(from, row.steps.get(focus)!, 1.6 * rem)}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={1.4}
                />
              )
            )
          })}
        {named.map(({ key }) => {
          const at = row.steps.get(key)!
          return (
            <line
              key={key}
              x1={at.x}
              x2={at.x}
              y1={at.y + 4}
              y2={at.y + 0.7 * rem}
              stroke="currentColor"
              strokeWidth={1.4}
              strokeDasharray="3 2"
            />
          )
        })}
        {steps.map((step) => {
          const at = row.steps.get(step.key)!
          return (
            <Link
              key={step.key}
              to={`/horses/${line.horse.id}/steps/${step.key}`}
              data-step={step.key}
              tabIndex={step.key === tabStop ? 0 : -1}
              aria-label={stepSentence(line, step)}
              onFocus={() => onFocus(step.key)}
              onMouseEnter={() => onFocus(step.key)}
            >
              <rect
                x={at.x - row.slot / 2}
                y={at.y - scaleHeight}
                width={row.slot}
                height={scaleHeight + 6}
                fill="transparent"
              />
              <g transform={`translate(${at.x} ${at.y})`}>
                <Scale halves={halvesOf(line, step)} width={scaleWidth} height={scaleHeight * 0.94} />
              </g>
              {needed.has(step.key) && <circle cx={at.x} cy={at.y + 7} r={4} fill="var(--ink)" />}
            </Link>
          )
        })}
      </g>
      {gates.map((gate) => {
        const at = row.posts.get(gate.gate)!
        const placed = gateLabels.find(({ key }) => key === gate.gate)
        const { words, colour, fill } = looks.get(gate.gate)!
        // The lowest lane is nearest the rope; a post grows up to its own label.
        const labelBottom = (titleLanes + gateLanes - (placed?.lane ?? 0)) * lane
        return (
          <Link
            key={gate.gate}
            to={`/horses/${line.horse.id}/gates/${gate.gate}`}
            aria-label={`${gate.name} gate: ${VERDICTS[gate.verdict]}`}
          >
            <rect
              x={at.x - 4}
              y={labelBottom}
              width={8}
              height={top - labelBottom + 1.3 * rem}
              fill={fill}
              rx={1}
            />
            {placed && (
              <text
                x={placed.left}
                y={labelBottom - 0.3 * lane}
                fontSize={label}
                fontWeight={700}
                fontFamily={READ_FONT}
                fill={colour}
              >
                {words}
              </text>
            )}
          </Link>
        )
      })}
      {named.map(({ key, left, lane: at }) => {
        const callout = own.find(({ step }) => step === key)!
        return (
          <text
            key={key}
            x={left}
            y={top + 2 * sag + (at + 0.55) * lane}
            fontSize={label}
            fontWeight={700}
            fontFamily={READ_FONT}
            fill={callout.tone === 'worn' ? 'var(--worn)' : 'var(--way)'}
          >
            {callout.words}
          </text>
        )
      })}
    </svg>
  )
}

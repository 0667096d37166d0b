import type { Line } from '@still-pine/contract'
import { postsAt, STAGES, type Program, type Step } from '@still-pine/core/program'
import { useState, type KeyboardEvent } from 'react'
import { Link } from 'react-router'
import { percent, STATE_WORDS, VERDICTS } from '../../ui/words'
import { calloutsOf, type Callout } from './callouts'
import { layRow, placeLabels, type Point, type Post, type RopeRow } from './layout'
import { Scale, type ScaleHalf } from './scale'
import { textWidth, useSize } from './use-size'

const NAME_FONT = '"Bricolage Grotesque Variable", sans-serif'
const READ_FONT = '"Atkinson Hyperlegible Next Variable", sans-serif'

const LANES = 2
const DESK_ROWS = [
  [1, 2, 3],
  [4, 5, 6],
  [7, 8, 9],
] as const

/** Sizes in rem, so that all of it grows with the letters. */
const SIZE = { label: 0.86, laneHeight: 1.15, scale: 2.7, sag: 0.7, strip: 3.4 }

const VERDICT_COLOUR = {
  go: 'var(--solid)',
  'check-first': 'var(--worn)',
  'not-yet': 'var(--quiet)',
  stop: 'var(--stop)',
}

const halvesOf = (line: Line, step: Step): readonly ScaleHalf[] =>
  line.tracks
    .filter((track) => track.step === step.key)
    .map(({ side, view }) => ({ side, state: view.state, chance: view.chance }))

/** A step in one breath: for a reader, and under the drawing when it has focus. */
export const stepSentence = (line: Line, step: Step): string => {
  const halves = halvesOf(line, step)
  const each = halves.map(({ side, state, chance }) =>
    [side === 'none' ? '' : side, STATE_WORDS[state], state === 'new' ? '' : percent(chance)]
      .filter(Boolean)
      .join(' '),
  )
  return `${step.name}: ${each.join(', ')}`
}

const postsOf = (program: Program): readonly Post[] =>
  program.steps.flatMap(({ key }) =>
    postsAt(program, key).map(({ key: gate, guards }) => ({
      gate,
      step: key,
      where: guards.kind === 'step' ? 'before' : 'after',
    })),
  )

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

type Gate = Line['gates'][number]

/** A gate few of whose tracks were asked yet has nothing to say; its post stands quietly. */
const isFar = ({ tracks }: Gate): boolean =>
  tracks.filter(({ state }) => state !== 'new').length < tracks.length / 3

const needsOf = (program: Program, step: string | null): ReadonlySet<string> =>
  new Set(program.steps.find(({ key }) => key === step)?.needs.map((need) => need.step ?? '') ?? [])

const thread = (from: Point, to: Point, drop: number): string =>
  `M${from.x} ${from.y}C${from.x} ${from.y + drop} ${to.x} ${to.y + drop} ${to.x} ${to.y}`

const Row = ({ program, line, row, steps, callouts, width, rem, focus, tabStop, onFocus }: RowProps) => {
  const label = SIZE.label * rem
  const lane = SIZE.laneHeight * rem
  const measure = (text: string): number => textWidth(text, label, READ_FONT) + 4
  const titles = placeLabels(
    row.stages.map(({ stage, x }) => ({
      key: String(stage),
      x,
      width: textWidth(`${stage} ${STAGES[stage - 1]}`, label, NAME_FONT) + 4,
      aligns: ['start'] as const,
    })),
    width,
    LANES,
  )
  const titleLanes = Math.max(0, ...titles.map((t) => t.lane)) + 1
  const gates = line.gates.filter(({ gate }) => row.posts.has(gate))
  const gateWords = (gate: Gate): string =>
    isFar(gate) ? gate.name : `${gate.name} · ${VERDICTS[gate.verdict]}`
  const gateLabels = placeLabels(
    gates.map((gate) => ({
      key: gate.gate,
      x: row.posts.get(gate.gate)!.x,
      width: measure(gateWords(gate)),
      aligns: ['middle', 'end', 'start'] as const,
    })),
    width,
    LANES + 1,
    [...row.posts.values()].map(({ x }) => x),
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
    LANES,
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
        const colour = isFar(gate) ? 'var(--quiet)' : VERDICT_COLOUR[gate.verdict]
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
              fill={isFar(gate) ? 'var(--line)' : colour}
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
                {gateWords(gate)}
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

/** Arrow keys walk along the rope from scale to scale. */
const walk = (event: KeyboardEvent<HTMLElement>, steps: readonly Step[], focus: string | null): void => {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  if (by === undefined) return
  const at = steps.findIndex(({ key }) => key === focus)
  const next = steps[Math.max(0, Math.min(steps.length - 1, at + by))]
  if (!next) return
  event.preventDefault()
  event.currentTarget.querySelector<SVGAElement>(`[data-step="${next.key}"]`)?.focus()
}

/** The horse's path as a rope with pine scales: three rows at a desk, one strip to swipe on a phone. */
export const LineDrawing = ({ program, line }: { program: Program; line: Line }) => {
  const { ref, width, rem } = useSize<HTMLDivElement>()
  const [focus, setFocus] = useState<string | null>(null)
  const isStrip = width < 42 * rem
  const stages = isStrip ? [[1, 2, 3, 4, 5, 6, 7, 8, 9]] : DESK_ROWS
  const posts = postsOf(program)
  const callouts = calloutsOf(program, line)
  const focused = program.steps.find(({ key }) => key === focus)
  return (
    <section
      aria-label="The Line"
      className="flex flex-col gap-2"
      onKeyDown={(event) => walk(event, program.steps, focus)}
      onMouseLeave={() => setFocus(null)}
    >
      <div ref={ref} className={isStrip ? 'overflow-x-auto' : ''}>
        {width > 0 &&
          stages.map((row) => {
            const steps = program.steps.filter(({ stage }) => (row as readonly number[]).includes(stage))
            const rowWidth = isStrip ? steps.length * SIZE.strip * rem : width
            return (
              <Row
                key={row[0]}
                program={program}
                line={line}
                row={layRow(steps, posts, rowWidth, 0, SIZE.sag * rem)}
                steps={steps}
                callouts={callouts}
                width={rowWidth}
                rem={rem}
                focus={focus}
                tabStop={focus ?? program.steps[0]!.key}
                onFocus={setFocus}
              />
            )
          })}
      </div>
      <p className="min-h-6 text-quiet" aria-hidden="true">
        {focused
          ? `${stepSentence(line, focused)}${focused.needs.length > 0 ? ` · needs ${focused.needs.map((n) => n.step ?? n.role).join(', ')}` : ''}`
          : 'Filled as far as the chance of a light first answer. Left half is the horse’s left.'}
      </p>
    </section>
  )
}

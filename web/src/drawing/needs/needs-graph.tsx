import { STAGES, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { edgesOf, standsOn, type Edge } from './edges'

const COLUMN = 168
const ROW = 34
const TOP = 50
const LEFT = 16
const MOST_LETTERS = 18

interface GraphPoint {
  readonly x: number
  readonly y: number
}

const shortened = (name: string): string =>
  name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name

const placesOf = ({ steps }: Program): ReadonlyMap<string, GraphPoint> => {
  const rows = new Map<number, number>()
  return new Map(
    steps.map(({ key, stage }) => {
      const row = rows.get(stage) ?? 0
      rows.set(stage, row + 1)
      return [key, { x: LEFT + (stage - 1) * COLUMN, y: TOP + row * ROW }]
    }),
  )
}

/** Bows out to the left within a stage, and swings over from stage to stage. */
const curve = (from: GraphPoint, to: GraphPoint): string => {
  const [ax, bx] = [from.x, to.x]
  if (ax === bx) {
    const out = Math.min(14, 5 + Math.abs(to.y - from.y) / 20)
    return `M${ax} ${from.y}C${ax - out} ${from.y} ${bx - out} ${to.y} ${bx} ${to.y}`
  }
  const middle = (ax + bx) / 2
  return `M${ax} ${from.y}C${middle} ${from.y} ${middle} ${to.y} ${bx} ${to.y}`
}

interface Look {
  readonly stroke: string
  readonly width: number
  readonly opacity: number
  readonly dash?: string
}

const lookOf = ({ from, to, since }: Edge, chosen: string | undefined, under: ReadonlySet<string>): Look => {
  if (since === 'come') return { stroke: 'var(--act)', width: 4, opacity: 1 }
  if (since === 'gone') return { stroke: 'var(--worn)', width: 3, opacity: 1, dash: '6 5' }
  if (to === chosen) return { stroke: 'var(--solid)', width: 3, opacity: 1 }
  if (from === chosen) return { stroke: 'var(--way)', width: 3, opacity: 1 }
  if (under.has(to) && under.has(from)) return { stroke: 'var(--solid)', width: 1.5, opacity: 0.7 }
  return { stroke: 'var(--line)', width: 1, opacity: chosen ? 0.25 : 0.7 }
}

interface Props {
  readonly base: Program
  readonly program: Program
  readonly chosen: string | undefined
  readonly onChoose: (step: string) => void
}

/** The whole path as stages from left to right: what each step needs, and what the change brought or took away. */
export const NeedsGraph = ({ base, program, chosen, onChoose }: Props) => {
  const places = useMemo(() => placesOf(program), [program])
  const edges = useMemo(() => edgesOf(base, program), [base, program])
  const under = chosen ? standsOn(edges, chosen) : new Set<string>()
  const opens = new Set(
    edges.filter(({ from, since }) => from === chosen && since !== 'gone').map(({ to }) => to),
  )
  const rows = Math.max(...STAGES.map((_, i) => program.steps.filter(({ stage }) => stage === i + 1).length))
  const width = LEFT + STAGES.length * COLUMN
  const height = TOP + rows * ROW + 8
  const drawn = [...edges].sort((a, b) => lookOf(a, chosen, under).width - lookOf(b, chosen, under).width)
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="w-full min-w-[72rem]"
        role="group"
        aria-label="What each step needs"
      >
        {STAGES.map((stage, i) => (
          <text
            key={stage}
            x={LEFT + i * COLUMN - 6}
            y={20}
            fontSize={16}
            fontWeight={700}
            fill="var(--quiet)"
          >
            {stage}
          </text>
        ))}
        {drawn.map((edge) => {
          const from = places.get(edge.from)
          const to = places.get(edge.to)
          if (!from || !to) return null
          const { stroke, width: strokeWidth, opacity, dash } = lookOf(edge, chosen, under)
          return (
            <path
              key={`${edge.from} ${edge.to}`}
              d={curve(from, to)}
              fill="none"
              stroke={stroke}
              strokeWidth={strokeWidth}
              strokeOpacity={opacity}
              strokeDasharray={dash}
            />
          )
        })}
        {program.steps.map(({ key, name }) => {
          const { x, y } = places.get(key)!
          const isNear = key === chosen || under.has(key) || opens.has(key)
          const isFaint = chosen !== undefined && !isNear
          return (
            <g
              key={key}
              role="button"
              tabIndex={0}
              aria-pressed={key === chosen}
              aria-label={name}
              className="cursor-pointer"
              onClick={() => onChoose(key)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault()
                  onChoose(key)
                }
              }}
            >
              <rect x={x - 6} y={y - ROW / 2} width={COLUMN - 8} height={ROW} fill="transparent" />
              <circle
                cx={x}
                cy={y}
                r={key === chosen ? 7 : 4.5}
                fill={isFaint ? 'var(--line)' : 'var(--ink)'}
              />
              <text
                x={x + 11}
                y={y}
                fontSize={16.5}
                fontWeight={isNear ? 700 : 400}
                fill={isFaint ? 'var(--quiet)' : 'var(--ink)'}
                stroke="var(--ground)"
                strokeWidth={4}
                paintOrder="stroke"
                dominantBaseline="middle"
              >
                {shortened(name)}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

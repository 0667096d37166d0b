import {
  count,
  calmWord,
  gradeWord,
  type Calm,
  type Grade,
  type Kind,
  type Side,
} from '@still-pine/core/answer'
import { memo } from 'react'

/** One answer as a mark: taller is lighter, the shape on top is the calm. */
export interface Mark {
  readonly id: string
  readonly side: Side
  readonly grade: Grade
  readonly calm: Calm | null
  readonly cold?: boolean
  readonly half?: boolean
}

const BAR_HEIGHT = [52, 42, 30, 20, 8] as const
const BAR_COLOUR = [
  'var(--mark-0)',
  'var(--mark-1)',
  'var(--mark-2)',
  'var(--mark-3)',
  'var(--stop)',
] as const
const SHAPE_ROOM = 18

/** How high a row of marks stands: whole, with the side under each, or low, in a list that tells the sides itself. */
interface Stand {
  readonly share: number
  readonly foot: number
}
const WHOLE: Stand = { share: 1, foot: 20 }
const LOW: Stand = { share: 0.6, foot: 8 }
const heightOf = ({ share, foot }: Stand): number => SHAPE_ROOM + BAR_HEIGHT[0] * share + foot

const CalmShape = ({ calm, x, y }: { calm: Calm | null; x: number; y: number }) => {
  const stroke = { fill: 'none', stroke: 'currentColor', strokeWidth: 2.4 }
  if (calm === 0) return <circle cx={x} cy={y} r={5} {...stroke} />
  if (calm === 1) return <path d={`M${x} ${y - 6} l6 10 h-12 Z`} {...stroke} />
  if (calm === 2) return <rect x={x - 5} y={y - 5} width={10} height={10} fill="currentColor" />
  return null
}

const SIDE_LETTER: Record<Side, string> = { left: 'L', right: 'R', none: '' }

const sentence = (mark: Mark, kind: Kind): string =>
  [
    mark.side === 'none' ? '' : mark.side,
    gradeWord(kind, mark.grade),
    mark.calm === null ? 'calm not noted' : calmWord(mark.calm),
    mark.cold ? 'first of its day' : '',
    mark.half ? 'half weight' : '',
  ]
    .filter(Boolean)
    .join(', ')

interface ShapeProps {
  readonly mark: Mark
  readonly kind: Kind
  readonly x: number
  readonly stand: Stand
}

const isSameShape = (before: ShapeProps, after: ShapeProps): boolean =>
  before.x === after.x &&
  before.kind === after.kind &&
  before.stand === after.stand &&
  (['id', 'side', 'grade', 'calm', 'cold', 'half'] as const).every(
    (key) => before.mark[key] === after.mark[key],
  )

/** Remembered, for a long session draws each answer once and not with every press. */
const MarkShape = memo(({ mark, kind, x, stand }: ShapeProps) => {
  const ground = heightOf(stand) - stand.foot
  const barHeight = BAR_HEIGHT[mark.grade] * stand.share
  const top = ground - barHeight
  return (
    <g opacity={mark.half ? 0.55 : 1}>
      <title>{sentence(mark, kind)}</title>
      <rect x={x - 6} y={top} width={12} height={barHeight} rx={1.5} fill={BAR_COLOUR[mark.grade]} />
      <CalmShape calm={mark.calm} x={x} y={top - 9} />
      {mark.cold && (
        <line x1={x - 9} x2={x + 9} y1={ground + 3} y2={ground + 3} stroke="currentColor" strokeWidth={2} />
      )}
      {stand === WHOLE && (
        <text x={x} y={ground + 16} textAnchor="middle" fontSize={13} fontWeight={700} fill="currentColor">
          {SIDE_LETTER[mark.side]}
        </text>
      )}
    </g>
  )
}, isSameShape)

interface Props {
  readonly marks: readonly Mark[]
  readonly kind: Kind
  /** Pixels from one mark to the next. */
  readonly spacing?: number
  /** Only so many of the newest. */
  readonly most?: number
  /** Half as high and without the sides' letters, for a list that tells the sides itself. */
  readonly low?: boolean
}

/** A row of answers, oldest first, the newest always in sight. */
export const Marks = memo(({ marks: all, kind, spacing = 26, most = Infinity, low = false }: Props) => {
  const stand = low ? LOW : WHOLE
  const height = heightOf(stand)
  const before = Math.max(0, all.length - most)
  const marks = all.slice(before)
  return (
    <div
      className="overflow-x-auto"
      style={{ direction: 'rtl' }}
      tabIndex={marks.length > 12 ? 0 : undefined}
    >
      <svg
        role="img"
        aria-label={
          marks.length === 0
            ? 'No answers yet'
            : `${count(marks.length, 'answer')}, oldest first: ${marks.map((mark) => sentence(mark, kind)).join('; ')}`
        }
        width={marks.length * spacing + 8}
        height={height}
        className="min-w-full text-ink"
        style={{ direction: 'ltr' }}
      >
        <line
          x1={0}
          x2="100%"
          y1={height - stand.foot}
          y2={height - stand.foot}
          stroke="currentColor"
          strokeWidth={2}
        />
        {/* The row is moved as one: a mark has its place in the whole session and is drawn once. */}
        <g transform={`translate(${-before * spacing})`}>
          {marks.map((mark, i) => (
            <MarkShape
              key={mark.id}
              mark={mark}
              kind={kind}
              x={4 + spacing / 2 + (before + i) * spacing}
              stand={stand}
            />
          ))}
        </g>
      </svg>
    </div>
  )
})

export const MARKS_KEY = 'Taller is lighter. Ring loose, triangle watchful, square tight.'

import type { SetDown, SetOut } from '@still-pine/core/jumping'

/** How wide a pole is laid, and what lies free around it, metres. */
const POLE_M = 3
const FREE_M = 1.2
const LABEL_M = 0.9

/** Three poles are no more of the page than a whole line of them: metres. */
const LEAST_M = 8

/** A distance is written in letters of this part of it, so that it does not run into the next. */
const LETTERS = 3.4

const THICK_M: Readonly<Record<SetDown['what'], number>> = {
  pole: 0.12,
  placing: 0.12,
  raised: 0.2,
  fence: 0.34,
}

const COLOURS: Readonly<Record<SetDown['what'], string>> = {
  pole: 'var(--color-ink)',
  placing: 'var(--color-ink)',
  raised: 'var(--color-act)',
  fence: 'var(--color-ink)',
}

/** Poles to five centimetres, fences to ten. */
const shown = (metres: number, step: number): string =>
  (Math.round(metres / step) * step).toFixed(2).replace(/0$/, '')

interface Props extends SetOut {
  readonly label: string
  /** What distances are told in, metres. */
  readonly step: number
}

/** What is set out, from above and to scale: the way runs from left to right, a ring is a stride. */
export const SetOutDrawing = ({ things, strides, wholeM, label, step }: Props) => {
  const start = Math.min(0, ...strides) - FREE_M
  const needed = Math.max(wholeM, ...strides) + FREE_M - start
  const width = Math.max(LEAST_M, needed)
  const from = start - (width - needed) / 2
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${from} 0 ${width} ${POLE_M + LABEL_M}`}
      className="w-full max-w-3xl"
    >
      <line
        x1={from}
        x2={from + width}
        y1={POLE_M / 2}
        y2={POLE_M / 2}
        stroke="var(--color-line)"
        strokeWidth={0.05}
        strokeDasharray="0.2 0.2"
      />
      {strides.map((at) => (
        <circle
          key={at}
          cx={at}
          cy={POLE_M / 2}
          r={0.16}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={0.05}
        />
      ))}
      {things.map(({ what, atM }) => (
        <rect
          key={atM}
          x={atM - THICK_M[what] / 2}
          y={0}
          width={THICK_M[what]}
          height={POLE_M}
          fill={COLOURS[what]}
        />
      ))}
      {things.slice(1).map(({ atM }, i) => {
        const before = things[i]!.atM
        return (
          <g key={atM}>
            <line
              x1={before + 0.08}
              x2={atM - 0.08}
              y1={POLE_M + 0.25}
              y2={POLE_M + 0.25}
              stroke="var(--color-ink)"
              strokeWidth={0.03}
            />
            <text
              x={(before + atM) / 2}
              y={POLE_M + 0.7}
              textAnchor="middle"
              fontSize={Math.min(0.4, (atM - before) / LETTERS)}
              fill="var(--color-ink)"
            >
              {shown(atM - before, step)} m
            </text>
          </g>
        )
      })}
    </svg>
  )
}

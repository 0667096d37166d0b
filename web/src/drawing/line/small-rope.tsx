import type { Line } from '@still-pine/contract'
import type { Program, Step } from '@still-pine/core/program'
import { layRow } from './layout'
import { postLook, postsOf } from './posts'
import { halvesOf } from './rope-row'
import { Scale } from './scale'

interface Props {
  readonly program: Program
  readonly line: Line
  readonly steps: readonly Step[]
  readonly width: number
  readonly rem: number
}

/** Sizes in rem: a rope to be read in passing, whose scales are not pressed one by one. */
const SMALL = { scale: 1.7, sag: 0.35, post: 2, foot: 0.5 }

/** One stage's rope, small: how far each of its steps is, and where its gates stand. */
export const SmallRope = ({ program, line, steps, width, rem }: Props) => {
  const height = SMALL.post * rem
  const row = layRow(steps, postsOf(program), { width, ropeY: height, mostSag: SMALL.sag * rem })
  const scaleHeight = SMALL.scale * rem
  return (
    <svg
      width={width}
      height={height + (2 * SMALL.sag + SMALL.foot) * rem}
      className="block overflow-visible"
      aria-hidden="true"
    >
      <path d={row.rope} fill="none" stroke="var(--rope)" strokeWidth={3} strokeLinecap="round" />
      {line.gates
        .filter(({ gate }) => row.posts.has(gate))
        .map((gate) => {
          const { x, y } = row.posts.get(gate.gate)!
          return (
            <rect
              key={gate.gate}
              x={x - 3}
              y={y - height}
              width={6}
              height={height + SMALL.foot * rem}
              fill={postLook(program, line, gate).fill}
              rx={1}
            />
          )
        })}
      {steps.map((step) => {
        const { x, y } = row.steps.get(step.key)!
        return (
          <g key={step.key} transform={`translate(${x} ${y})`}>
            <Scale
              halves={halvesOf(line, step)}
              width={Math.min(row.slot * 0.7, scaleHeight * 0.6)}
              height={scaleHeight}
            />
          </g>
        )
      })}
    </svg>
  )
}

import type { Line } from '@still-pine/contract'
import type { Program, Step } from '@still-pine/core/program'
import { useState, type KeyboardEvent } from 'react'
import { calloutsOf } from './callouts'
import { layRow } from './layout'
import { postsOf } from './posts'
import { RopeRowDrawing, SIZE, stepSentence } from './rope-row'

/** The nine stages on the three rows of a desk. */
export const DESK_ROWS: readonly (readonly number[])[] = [
  [1, 2, 3],
  [4, 5, 6],
  [7, 8, 9],
]

/** Arrow keys walk along the rope from scale to scale. */
const walk = (event: KeyboardEvent<HTMLElement>, steps: readonly Step[]): void => {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  if (by === undefined) return
  // Where the focus is, and not where it was drawn last: a key may come before the next drawing.
  const scale = (event.target as Element).closest('[data-step]')
  const at = steps.findIndex(({ key }) => key === scale?.getAttribute('data-step'))
  const next = steps[Math.max(0, Math.min(steps.length - 1, at + by))]
  if (!next) return
  event.preventDefault()
  event.currentTarget.querySelector<SVGAElement>(`[data-step="${next.key}"]`)?.focus()
}

interface Props {
  readonly program: Program
  readonly line: Line
  /** The stages of each rope. */
  readonly rows: readonly (readonly number[])[]
  readonly width: number
  readonly rem: number
}

/** The horse's path, or a part of it, as ropes with pine scales; what matters is named, the rest on focus. */
export const LineDrawing = ({ program, line, rows, width, rem }: Props) => {
  const [focus, setFocus] = useState<string | null>(null)
  const posts = postsOf(program)
  const callouts = calloutsOf(program, line)
  const shown = program.steps.filter(({ stage }) => rows.flat().includes(stage))
  const focused = shown.find(({ key }) => key === focus)
  return (
    // The keys and the pointer belong to the links in it; here they are heard together.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <section
      aria-label="The Line"
      className="flex flex-col gap-2"
      onKeyDown={(event) => walk(event, shown)}
      onMouseLeave={() => setFocus(null)}
    >
      <div>
        {rows.map((stages) => {
          const steps = shown.filter(({ stage }) => stages.includes(stage))
          return (
            <RopeRowDrawing
              key={stages[0]}
              program={program}
              line={line}
              row={layRow(steps, posts, { width, ropeY: 0, mostSag: SIZE.sag * rem })}
              steps={steps}
              callouts={callouts}
              width={width}
              rem={rem}
              focus={focus}
              tabStop={focused?.key ?? shown[0]!.key}
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

import type { Line } from '@still-pine/contract'
import type { Program, Step } from '@still-pine/core/program'
import { useEffect, useState, type KeyboardEvent } from 'react'
import { calloutsOf } from './callouts'
import { layRow } from './layout'
import { postsOf } from './posts'
import { RopeRowDrawing, SIZE, stepSentence } from './rope-row'
import { useSize } from './use-size'

const DESK_ROWS = [
  [1, 2, 3],
  [4, 5, 6],
  [7, 8, 9],
] as const

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

/** Where on a strip the furthest step stands when it opens, as a share of its width. */
const FURTHEST_STANDS_AT = 0.7

/** The last step on the path that was ever asked. */
const furthestStep = (program: Program, line: Line): string | undefined => {
  const asked = new Set(line.tracks.filter(({ view }) => view.answers > 0).map(({ step }) => step))
  return program.steps.findLast(({ key }) => asked.has(key))?.key
}

/** The horse's path as a rope with pine scales: three rows at a desk, one strip to swipe on a phone. */
export const LineDrawing = ({ program, line }: { program: Program; line: Line }) => {
  const { ref, width, rem } = useSize<HTMLDivElement>()
  const [focus, setFocus] = useState<string | null>(null)
  const isStrip = width < 42 * rem
  const stages = isStrip ? [[1, 2, 3, 4, 5, 6, 7, 8, 9]] : DESK_ROWS
  const posts = postsOf(program)
  const callouts = calloutsOf(program, line)
  const furthest = furthestStep(program, line)
  // A strip opens where the work is, not at a beginning long past.
  useEffect(() => {
    const strip = ref.current
    const scale = strip?.querySelector(`[data-step="${furthest}"]`)
    if (!isStrip || !strip || !scale) return
    const fromLeft = scale.getBoundingClientRect().left - strip.getBoundingClientRect().left
    strip.scrollLeft += fromLeft - strip.clientWidth * FURTHEST_STANDS_AT
  }, [ref, isStrip, width, furthest, line.horse.id])
  const focused = program.steps.find(({ key }) => key === focus)
  return (
    // The keys and the pointer belong to the links in it; here they are heard together.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <section
      aria-label="The Line"
      className="flex flex-col gap-2"
      onKeyDown={(event) => walk(event, program.steps)}
      onMouseLeave={() => setFocus(null)}
    >
      <div ref={ref} className={isStrip ? 'overflow-x-auto' : ''}>
        {width > 0 &&
          stages.map((row) => {
            const steps = program.steps.filter(({ stage }) => (row as readonly number[]).includes(stage))
            const rowWidth = isStrip ? steps.length * SIZE.strip * rem : width
            return (
              <RopeRowDrawing
                key={row[0]}
                program={program}
                line={line}
                row={layRow(steps, posts, { width: rowWidth, ropeY: 0, mostSag: SIZE.sag * rem })}
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

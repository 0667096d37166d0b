import { CENTRE, pointAt, RADIUS, type Span } from './arc-geometry'

const BESIDE = 26

/** The words of a phase beside its stretch of the arc, on whichever side they have room. */
export const PhaseWords = ({ words, span }: { readonly words: string; readonly span: Span }) => {
  const middle = pointAt((span.from + span.to) / 2, RADIUS + BESIDE)
  return (
    <text
      x={middle.x}
      y={middle.y}
      fontSize={15}
      fontWeight={700}
      fill="var(--quiet)"
      dominantBaseline="middle"
      textAnchor={middle.x < CENTRE.x - 20 ? 'end' : middle.x > CENTRE.x + 20 ? 'start' : 'middle'}
    >
      {words}
    </text>
  )
}

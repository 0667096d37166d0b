import { useId } from 'react'
import { MIDDLE, OUTLINE } from '../../drawing/plan-view/outline'

/** Where the neck bends, on the drawing of the animal from above. */
const BEND_AT = 300
const TURN = -24

const words = (tries: boolean, asks: boolean): string =>
  tries ? 'It gives to the feel' : asks ? 'It waits' : 'It stands'

const ropeTo = (tries: boolean, asks: boolean): string => {
  if (tries) return 'M86 84C70 130 50 190 20 236'
  return asks ? 'M178 62C130 120 70 190 20 236' : 'M178 62C150 170 70 250 20 236'
}

/** The front of the animal from above: straight while it waits, turned to the feel when it tries. */
export const PracticeHorseDrawing = ({ tries, asks }: { tries: boolean; asks: boolean }) => {
  const id = useId()
  const body = { d: OUTLINE, fill: 'var(--worn-fill)', stroke: 'var(--ink)', strokeWidth: 4 }
  return (
    <svg
      viewBox="0 0 400 440"
      className="mx-auto h-full max-h-48 w-full desk:max-h-72"
      role="img"
      aria-label={words(tries, asks)}
      data-tries={tries}
    >
      <clipPath id={`${id}-body`}>
        <rect x={0} y={BEND_AT - 6} width={400} height={300} />
      </clipPath>
      <clipPath id={`${id}-head`}>
        <rect x={0} y={0} width={400} height={BEND_AT} />
      </clipPath>
      <path {...body} clipPath={`url(#${id}-body)`} />
      <g
        style={{
          transformOrigin: `${MIDDLE}px ${BEND_AT}px`,
          transform: `rotate(${tries ? TURN : 0}deg)`,
          transition: 'transform 90ms',
        }}
      >
        <path
          d="M220 196C230 176 252 160 262 158C266 176 256 204 238 214ZM180 196C170 176 148 160 138 158C134 176 144 204 162 214Z"
          fill="var(--worn-fill)"
          stroke="var(--ink)"
          strokeWidth={4}
        />
        <path {...body} clipPath={`url(#${id}-head)`} />
        <path
          d="M177 74H223M164 126L176 206M236 126L224 206"
          stroke="var(--act)"
          strokeWidth={8}
          fill="none"
        />
        <circle cx={MIDDLE - 33} cy={150} r={5} fill="var(--ink)" />
        <circle cx={MIDDLE + 33} cy={150} r={5} fill="var(--ink)" />
      </g>
      <path d={ropeTo(tries, asks)} fill="none" stroke="var(--rope)" strokeWidth={8} strokeLinecap="round" />
    </svg>
  )
}

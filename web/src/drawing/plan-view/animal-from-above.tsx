import { PLACE_WORDS, PLACES, type PlaceByHorse, type Side } from '@still-pine/core/answer'
import { ZONES, type Age, type Zone } from '@still-pine/core/coverage'
import { useId, type KeyboardEvent } from 'react'
import { HEIGHT, MIDDLE, OUTLINE, WIDTH } from './outline'
import { PLACE_POSTS, ROOMY, SIGNS, ZONE_SHAPES } from './zone-shapes'

type HalfSide = Extract<Side, 'left' | 'right'>

/** How far something holds there, as it is drawn. */
export interface Shown {
  /** 0 to 1 of the way to the rung it must reach. */
  readonly share: number
  readonly rung: number
  readonly age: Age
  readonly words: string
}

interface Props {
  readonly zones: Readonly<Record<HalfSide, ReadonlyMap<Zone, Shown>>>
  readonly places: Readonly<Record<HalfSide, ReadonlyMap<PlaceByHorse, Shown>>>
  readonly chosen: { readonly side: Side; readonly zone: Zone | null; readonly place: PlaceByHorse | null }
  readonly onZone: (zone: Zone, side: HalfSide) => void
  readonly onPlace: (place: PlaceByHorse, side: HalfSide) => void
}

const AGE_OPACITY: Record<Age, number> = { fresh: 1, old: 0.6, 'very-old': 0.3 }

const fillOf = (shown: Shown | undefined): string => {
  if (!shown) return 'var(--panel)'
  if (shown.rung === 0) return 'var(--worn-fill)'
  return shown.share >= 1 ? 'var(--solid)' : 'var(--way-fill)'
}

/** A button drawn in SVG: by finger, by key, by a reader. */
const asButton = (label: string, pressed: boolean, press: () => void) => ({
  role: 'button',
  tabIndex: 0,
  'aria-label': label,
  'aria-pressed': pressed,
  className: 'cursor-pointer outline-none focus-visible:[stroke-width:5]',
  onClick: press,
  onKeyDown: (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    event.stopPropagation()
    press()
  },
})

const Post = ({
  place,
  side,
  sign,
  shown,
  isChosen,
  press,
}: {
  place: PlaceByHorse
  side: HalfSide
  sign: 1 | -1
  shown: Shown | undefined
  isChosen: boolean
  press: () => void
}) => {
  const [top, bottom] = PLACE_POSTS[place]
  const height = bottom - top
  const x = sign === 1 ? WIDTH - 34 : 4
  const filled = height * Math.min(1, shown?.share ?? 0)
  const words = shown?.words ?? 'never from here'
  return (
    <g
      {...asButton(`From ${PLACE_WORDS[place]}, ${side}: ${words}`, isChosen, press)}
      stroke="var(--ink)"
      strokeWidth={isChosen ? 4 : 1.5}
    >
      <rect x={x} y={top} width={30} height={height} rx={15} fill="var(--panel)" />
      <clipPath id={`post-${side}-${place}`}>
        <rect x={x} y={top} width={30} height={height} rx={15} />
      </clipPath>
      <rect
        x={x}
        y={bottom - filled}
        width={30}
        height={filled}
        fill={fillOf(shown)}
        opacity={shown ? AGE_OPACITY[shown.age] : 1}
        stroke="none"
        clipPath={`url(#post-${side}-${place})`}
      />
      <text
        x={x + 15}
        y={top + height / 2 + 8}
        fontSize={22}
        fontWeight={700}
        textAnchor="middle"
        stroke="var(--panel)"
        strokeWidth={4}
        paintOrder="stroke"
        fill="var(--ink)"
      >
        {place}
      </text>
    </g>
  )
}

/** The animal as a rider sees it: head up, its left on the left; zones on it, places to stand round it. */
export const AnimalFromAbove = ({ zones, places, chosen, onZone, onPlace }: Props) => {
  const id = useId()
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mx-auto h-full max-h-[82dvh] w-full desk:max-h-[max(28rem,calc(100dvh-16rem))] touch-manipulation select-none"
      role="group"
      aria-label="The horse from above, head up"
    >
      <defs>
        <clipPath id={`${id}-body`}>
          <path d={OUTLINE} />
        </clipPath>
        <pattern
          id={`${id}-hatch`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--ink)" strokeWidth="2" />
        </pattern>
      </defs>
      <path d={OUTLINE} fill="var(--panel)" stroke="none" />
      {SIGNS.map(([side, sign]) =>
        ZONE_SHAPES.map(({ zone, inside, path, label, size = ROOMY }) => {
          const shown = zones[side].get(zone)
          const isChosen = chosen.zone === zone && chosen.side === side
          const words = shown?.words ?? 'not touched'
          const clip = inside ? { clipPath: `url(#${id}-body)` } : {}
          return (
            <g
              key={`${side}-${zone}`}
              {...asButton(`${side} ${ZONES[zone]}: ${words}`, isChosen, () => onZone(zone, side))}
              stroke="var(--ink)"
              strokeWidth={1.2}
            >
              <g {...clip}>
                <path d={path(sign)} fill="var(--panel)" />
                <path d={path(sign)} fill={fillOf(shown)} opacity={shown ? AGE_OPACITY[shown.age] : 1} />
                {shown?.rung === 0 && <path d={path(sign)} fill={`url(#${id}-hatch)`} opacity={0.5} />}
                {isChosen && <path d={path(sign)} fill="none" stroke="var(--act)" strokeWidth={8} />}
              </g>
              {shown && (
                <text
                  x={MIDDLE + sign * label[0]}
                  y={label[1] + size / 3}
                  fontSize={size}
                  fontWeight={700}
                  textAnchor="middle"
                  stroke="none"
                  fill={shown.rung > 0 && shown.age === 'fresh' ? 'var(--panel)' : 'var(--ink)'}
                >
                  {shown.rung === 0 ? '×' : shown.rung}
                </text>
              )}
            </g>
          )
        }),
      )}
      <path d={OUTLINE} fill="none" stroke="var(--ink)" strokeWidth={3} pointerEvents="none" />
      <path
        d={`M${MIDDLE} 26V830`}
        stroke="var(--panel)"
        strokeWidth={1.5}
        strokeDasharray="2 5"
        pointerEvents="none"
      />
      {[-1, 1].map((sign) => (
        <circle key={sign} cx={MIDDLE + sign * 33} cy={150} r={3.5} fill="var(--ink)" pointerEvents="none" />
      ))}
      {SIGNS.map(([side, sign]) =>
        PLACES.map((place) => (
          <Post
            key={`${side}-${place}`}
            place={place}
            side={side}
            sign={sign}
            shown={places[side].get(place)}
            isChosen={chosen.place === place && chosen.side === side}
            press={() => onPlace(place, side)}
          />
        )),
      )}
      <text x={62} y={28} fontSize={17} fill="var(--quiet)" fontWeight={700}>
        left
      </text>
      <text x={WIDTH - 62} y={28} fontSize={17} fill="var(--quiet)" fontWeight={700} textAnchor="end">
        right
      </text>
    </svg>
  )
}

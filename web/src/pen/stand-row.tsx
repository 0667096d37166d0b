import type { Line } from '@still-pine/contract'
import { PLACE_WORDS, PLACES, type Place } from '@still-pine/core/answer'
import { Button } from '../ui/button'
import type { PenActions, PenView } from './use-pen'

const SHORT: Record<Place, string> = { 1: 'Face', 2: 'Eye', 3: 'Neck', 4: 'Barrel', 5: 'Tail' }

interface Props {
  readonly view: PenView
  readonly line: Line
  readonly actions: PenActions
}

/** Where the person stands for a step that must hold all round; a dashed edge marks a place still missing. */
export const StandRow = ({ view, line, actions }: Props) => {
  const { stand, aim } = view.pen
  const track = line.tracks.find(({ step, side }) => step === aim.step && side === aim.side)
  const missing = (place: Place): boolean =>
    (track?.view.placesMissing.includes(place) ?? false) &&
    !view.answers.some((answer) => answer.side === aim.side && answer.place === place && answer.grade <= 1)
  const look = (isChosen: boolean, isMissing: boolean): string =>
    `min-h-16 px-0! text-xl ${isChosen ? 'bg-ink! text-ground!' : ''} ${isMissing ? 'border-dashed!' : ''}`
  return (
    <div
      className="grid grid-cols-[repeat(5,minmax(0,1fr))_minmax(0,1.3fr)] gap-1.5"
      role="group"
      aria-label="Where you stand"
    >
      {PLACES.map((place) => (
        <Button
          key={place}
          className={look(stand.place === place, missing(place))}
          aria-pressed={stand.place === place}
          aria-label={`${PLACE_WORDS[place]}${missing(place) ? ', still missing' : ''}`}
          onClick={() => actions.stand({ ...stand, place: stand.place === place ? null : place })}
        >
          {SHORT[place]}
        </Button>
      ))}
      <Button
        className={look(stand.moving, (track?.view.movingMissing ?? 0) > 0)}
        aria-pressed={stand.moving}
        aria-label="the horse is moving"
        onClick={() => actions.stand({ ...stand, moving: !stand.moving })}
      >
        Moving
      </Button>
    </div>
  )
}

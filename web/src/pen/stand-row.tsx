import type { Line } from '@still-pine/contract'
import { PLACE_WORDS, PLACES, type PlaceByHorse } from '@still-pine/core/answer'
import { memo } from 'react'
import { Button } from '../ui/button'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

interface Props {
  readonly view: PenView
  readonly line: Line
  readonly actions: PenActions
}

/** The places from which this side is still to be proved. */
const missingPlaces = ({ pen, answers }: PenView, line: Line): readonly PlaceByHorse[] => {
  const { step, side } = pen.aim
  const track = line.tracks.find((one) => one.step === step && one.side === side)
  const proved = answers.filter((answer) => answer.side === side && answer.grade <= 1 && answer.calm !== 2)
  return (track?.view.placesMissing ?? []).filter((place) => !proved.some((answer) => answer.place === place))
}

/** Round the horse: to the next place that is missing, or simply to the next. */
export const placeAfter = (place: PlaceByHorse | null, missing: readonly PlaceByHorse[]): PlaceByHorse => {
  const from = place ?? 0
  const round = [...PLACES.filter((one) => one > from), ...PLACES.filter((one) => one <= from)]
  return round.find((one) => missing.includes(one)) ?? round[0]!
}

/** Where the person stands for a step that must hold all round: one big button walks round the horse. */
export const StandRow = memo(({ view, line, actions }: Props) => {
  const { stand } = view.pen
  const missing = missingPlaces(view, line)
  const from = stand.place === null ? 'From where?' : `From ${PLACE_WORDS[stand.place]}`
  return (
    <div className="grid grid-cols-[2fr_1fr] gap-2" role="group" aria-label="Where you stand">
      <Button
        className="min-h-16 px-2! text-xl leading-tight"
        aria-label={`${from}. ${missing.length} of 5 places missing. Press for the next`}
        onClick={() => actions.stand({ ...stand, place: placeAfter(stand.place, missing) })}
      >
        {from}
        {missing.length > 0 && <span className="font-normal"> · {missing.length} missing</span>}
      </Button>
      <Button
        className={`min-h-16 px-1! text-xl ${stand.moving ? 'bg-ink! text-ground!' : ''}`}
        aria-pressed={stand.moving}
        onClick={() => actions.stand({ ...stand, moving: !stand.moving })}
      >
        Moving
      </Button>
    </div>
  )
})

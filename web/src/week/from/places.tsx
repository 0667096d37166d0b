import type { ArrangedOf, ReplyOf } from '@still-pine/contract'
import { arrangedOf, ARRANGED_AT_FIRST } from '@still-pine/use-cases/week-asked'
import { useState } from 'react'
import { EditList } from '../../shared/edit-list'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { TextField, Tick } from '../../ui/inputs'
import { hoursWords } from './hours'
import { HoursFields } from './hours-fields'
import { useArrange } from './use-arrange'

type Week = ReplyOf<'plannedWeek'>
type Place = Week['places'][number]
type Told = Omit<ArrangedOf<'place'>, 'about'>

const placeIn = (week: Week, { id }: Place): Told =>
  (arrangedOf(week, 'place', id) as ArrangedOf<'place'> | undefined) ?? ARRANGED_AT_FIRST.place

const PlaceForm = ({ week, place, onDone }: { week: Week; place: Place; onDone: () => void }) => {
  const { arrange, isLoading } = useArrange(week)
  const known = placeIn(week, place)
  const [isFree, setFree] = useState(known.hours === null)
  const [hours, setHours] = useState<NonNullable<ArrangedOf<'place'>['hours']> | null>(known.hours ?? [])
  const [travel, setTravel] = useState(String(known.travelMinutes))
  const save = async (): Promise<void> => {
    const kept = await arrange(place.id, {
      about: 'place',
      hours: isFree ? null : hours,
      travelMinutes: Number(travel),
    })
    if (kept) onDone()
  }
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <Tick checked={isFree} onChange={({ target }) => setFree(target.checked)}>
        Free all day, every day
      </Tick>
      {!isFree && <HoursFields legend="Free" hours={known.hours ?? []} onChange={setHours} />}
      <TextField
        label="Minutes to get there"
        inputMode="numeric"
        value={travel}
        onChange={({ target }) => setTravel(target.value)}
      />
      <Button look="act" type="submit" disabled={isLoading || hours === null}>
        Save
      </Button>
    </form>
  )
}

/** When each pen or track is free, and how far it is; what it suits is said under Yard. */
export const PlaceHours = ({ week }: { week: Week }) => {
  const mayPlan = useMay('plan-week')
  return (
    <EditList<Place>
      title="Places"
      one="place"
      items={week.places}
      mayEdit={mayPlan}
      mayAdd={false}
      empty="No pen or track yet: everything is planned as in the yard. Places are added under Yard."
      name={({ name }) => name}
      words={(place) => {
        const { hours, travelMinutes } = placeIn(week, place)
        return [
          hours === null ? 'free all day' : hours.length === 0 ? 'never free' : hoursWords(hours),
          travelMinutes === 0 ? '' : `${travelMinutes} min away`,
        ]
          .filter(Boolean)
          .join('; ')
      }}
      form={(place, close) => place && <PlaceForm week={week} place={place} onDone={close} />}
    />
  )
}

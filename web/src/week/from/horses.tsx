import type { ArrangedOf, ReplyOf } from '@still-pine/contract'
import { horseIn } from '@still-pine/use-cases/week-asked'
import { useState } from 'react'
import { useQuery } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { hoursWords } from './hours'
import { HoursFields } from './hours-fields'
import { useArrange } from './use-arrange'

type Week = ReplyOf<'plannedWeek'>
type Horse = Week['horses'][number]

const HorseForm = ({ week, horse, onDone }: { week: Week; horse: Horse; onDone: () => void }) => {
  const { arrange, isLoading } = useArrange(week)
  const known = horseIn(week, horse.id)
  const { data: told } = useQuery('horse', { horseId: horse.id })
  const { data: school } = useQuery('program', { programId: told?.programId ?? '' }, { skip: !told })
  const [wanted, setWanted] = useState(String(known.wantedVisits))
  const [most, setMost] = useState(known.visitsAtMost?.toString() ?? '')
  const [by, setBy] = useState(known.wantedBy ?? '')
  const [gate, setGate] = useState(known.wantedGate ?? '')
  const [notFree, setNotFree] = useState<ArrangedOf<'horse'>['notFree'] | null>(known.notFree)
  const save = async (): Promise<void> => {
    const kept = await arrange(horse.id, {
      about: 'horse',
      wantedVisits: Number(wanted),
      visitsAtMost: most.trim() === '' ? null : Number(most),
      wantedBy: by === '' ? null : by,
      wantedGate: by === '' || gate === '' ? null : gate,
      notFree: notFree!,
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
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Visits wanted a week"
          inputMode="numeric"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
        />
        <TextField
          label="At most"
          hint="Empty: as many as are wanted."
          inputMode="numeric"
          value={most}
          onChange={({ target }) => setMost(target.value)}
        />
        <TextField
          label="Its owner asks for"
          hint="The day; empty for none."
          type="date"
          value={by}
          onChange={({ target }) => setBy(target.value)}
        />
        <ChoiceField
          label="Before the gate"
          words={[
            ['', 'the next one'],
            ...(school?.program.gates ?? []).map(({ key, name }) => [key, name] as const),
          ]}
          value={gate}
          onChange={({ target }) => setGate(target.value)}
        />
      </div>
      <HoursFields legend="Not free" hours={known.notFree} onChange={setNotFree} />
      <Button look="act" type="submit" disabled={isLoading || notFree === null}>
        Save
      </Button>
    </form>
  )
}

/** How often each horse is to be worked, and by when. */
export const Horses = ({ week }: { week: Week }) => {
  const mayPlan = useMay('plan-week')
  return (
    <EditList<Horse>
      title="Horses"
      one="horse"
      items={week.horses}
      mayEdit={mayPlan}
      mayAdd={false}
      empty="No horses yet. Add one under Yard."
      name={({ name }) => name}
      words={({ id }) => {
        const { wantedVisits, visitsAtMost, wantedBy, notFree } = horseIn(week, id)
        return [
          `${wantedVisits} a week`,
          visitsAtMost === null ? '' : `${visitsAtMost} at most`,
          wantedBy === null ? '' : `asked for by ${longDay(wantedBy)}`,
          notFree.length === 0 ? '' : `not free ${hoursWords(notFree)}`,
        ]
          .filter(Boolean)
          .join('; ')
      }}
      form={(horse, close) => horse && <HorseForm week={week} horse={horse} onDone={close} />}
    />
  )
}

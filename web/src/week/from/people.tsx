import { WEEK_ROLES, type ArrangedOf, type ReplyOf } from '@still-pine/contract'
import { arrangedOf, personIn } from '@still-pine/use-cases/week-asked'
import { useState } from 'react'
import { useQuery } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { TextField, Tick } from '../../ui/inputs'
import { Calendar } from './calendar'
import { hoursWords } from './hours'
import { HoursFields } from './hours-fields'
import { useArrange } from './use-arrange'

type Week = ReplyOf<'plannedWeek'>
type Person = Week['people'][number]

const ROLE_WORDS: Readonly<Record<(typeof WEEK_ROLES)[number], string>> = {
  start: 'starts horses',
  ride: 'rides',
  help: 'helps',
  hold: 'holds',
  farrier: 'farrier',
  vet: 'vet',
  fitter: 'saddle fitter',
}

const numberOrNothing = (text: string): number | null => (text.trim() === '' ? null : Number(text))

const PersonForm = ({ week, person, onDone }: { week: Week; person: Person; onDone: () => void }) => {
  const { arrange, isLoading } = useArrange(week)
  const known = personIn(week, person)
  const [roles, setRoles] = useState<readonly string[]>(known.roles)
  const [hours, setHours] = useState<ArrangedOf<'person'>['hours'] | null>(known.hours)
  const [most, setMost] = useState(known.mostMinutesPerDay?.toString() ?? '')
  const [remind, setRemind] = useState(known.remindMinutes?.toString() ?? '')
  const save = async (): Promise<void> => {
    const kept = await arrange(person.id, {
      about: 'person',
      roles: WEEK_ROLES.filter((role) => roles.includes(role)),
      hours: hours!,
      mostMinutesPerDay: numberOrNothing(most),
      remindMinutes: numberOrNothing(remind),
    })
    if (kept) onDone()
  }
  return (
    <div className="flex flex-col gap-4">
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <fieldset>
          <legend className="font-bold">What {person.name} does</legend>
          <div className="grid grid-cols-2">
            {WEEK_ROLES.map((role) => (
              <Tick
                key={role}
                checked={roles.includes(role)}
                onChange={({ target }) =>
                  setRoles(target.checked ? [...roles, role] : roles.filter((one) => one !== role))
                }
              >
                {ROLE_WORDS[role]}
              </Tick>
            ))}
          </div>
        </fieldset>
        <HoursFields legend="Hours" hours={known.hours} onChange={setHours} />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Most minutes a day"
            hint="Empty: as many as there are."
            inputMode="numeric"
            value={most}
            onChange={({ target }) => setMost(target.value)}
          />
          <TextField
            label="Reminder, minutes before"
            hint="In their own calendar; empty for none."
            inputMode="numeric"
            value={remind}
            onChange={({ target }) => setRemind(target.value)}
          />
        </div>
        <Button look="act" type="submit" disabled={isLoading || hours === null}>
          Save
        </Button>
      </form>
      <Calendar person={person} />
    </div>
  )
}

/** Who is there when, and what each does; a helper changes their own. */
export const People = ({ week }: { week: Week }) => {
  const { data: me } = useQuery('me')
  const mayPlan = useMay('plan-week')
  const isMine = ({ id }: Person): boolean => mayPlan || id === me?.person.id
  return (
    <EditList<Person>
      title="People and hours"
      one="person"
      items={week.people}
      mayEdit={isMine}
      mayAdd={false}
      empty="Nobody is here to work."
      name={({ name }) => name}
      words={(person) => {
        const { roles, hours } = personIn(week, person)
        const isEntered = arrangedOf(week, 'person', person.id) !== undefined
        return [
          roles.map((role) => ROLE_WORDS[role]).join(', '),
          hours.length === 0 ? 'no hours entered: not planned for' : hoursWords(hours),
          isEntered || hours.length === 0 ? '' : 'supposed until somebody enters them',
          person.busy.length > 0 ? 'some of it busy' : '',
        ]
          .filter(Boolean)
          .join('; ')
      }}
      form={(person, close) => person && <PersonForm week={week} person={person} onDone={close} />}
    />
  )
}

import { zodResolver } from '@hookform/resolvers/zod'
import { PutIncident, type Incident, type IncidentTold } from '@still-pine/contract'
import { sidesOf, stepOf, type Program } from '@still-pine/core/program'
import { useForm } from 'react-hook-form'
import type { z } from 'zod'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../../app/client'
import { saveHere } from '../../offline/save'
import { Button } from '../../ui/button'
import { ChoiceField, LinesField, TextField, Tick } from '../../ui/inputs'
import { HURT_WORDS, INCIDENT_WORDS } from '../../shared/incident-words'

interface Props {
  readonly horseId: string
  readonly today: string
  readonly program: Program
  /** The one to tell more of or to correct; what it said before stays to be read. */
  readonly told: Incident | null
  readonly onDone: () => void
}

const blank = (today: string): IncidentTold => ({
  kind: 'kick',
  on: today,
  step: null,
  side: null,
  rung: null,
  mounted: false,
  fell: false,
  hurt: 'none',
  where: '',
  before: '',
  after: '',
})

/** An incident as it is put again: what it says, without who said it. */
export const formOfIncident = ({
  id: _id,
  withdrawn: _withdrawn,
  earlier: _earlier,
  ...form
}: Incident): IncidentTold => form

/** An empty choice is none. */
const orNone = { setValueAs: (value: string | null) => value || null }

/** Tells an incident: what, where, on which side, in which step, what was before and what came after. */
export const IncidentForm = ({ horseId, today, program, told, onDone }: Props) => {
  const { data: me } = useQuery('me')
  const { register, handleSubmit, watch, setValue, formState } = useForm<
    z.input<typeof PutIncident>,
    unknown,
    z.output<typeof PutIncident>
  >({
    resolver: zodResolver(PutIncident),
    defaultValues: { ...(told ? formOfIncident(told) : blank(today)), because: '' },
  })
  const { errors } = formState
  const inStep = watch('step')
  const step = inStep ? stepOf(program, inStep) : undefined
  const sides = step ? sidesOf(step).filter((side) => side !== 'none') : (['left', 'right'] as const)
  const send = handleSubmit(async (incident) => {
    const item = { do: 'incident' as const, id: told?.id ?? uuid(), horseId, incident }
    if (!me || !(await saveHere(me.person.id, horseId, item))) return
    toast(`Recorded: ${INCIDENT_WORDS[incident.kind].toLowerCase()}.`)
    onDone()
  })
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void send(event)}>
      <div className="grid gap-3 desk:grid-cols-2">
        <ChoiceField label="What happened" words={Object.entries(INCIDENT_WORDS)} {...register('kind')} />
        <TextField label="On" type="date" max={today} error={errors.on?.message} {...register('on')} />
      </div>
      <ChoiceField
        label="In which step"
        hint="What it closes opens again when the right first asks have passed."
        words={[['', 'outside the work'], ...program.steps.map(({ key, name }) => [key, name] as const)]}
        {...register('step', { ...orNone, onChange: () => setValue('side', null) })}
      />
      <Tick {...register('mounted')}>
        <b>Somebody was riding, or had weight on it</b>
      </Tick>
      <Tick {...register('fell')}>
        <b>The horse fell</b>
      </Tick>
      <ChoiceField label="Is anyone hurt?" words={Object.entries(HURT_WORDS)} {...register('hurt')} />
      {sides.length > 0 && (
        <ChoiceField
          label="Side of the horse"
          words={[['', 'neither'], ...sides.map((side) => [side, side] as const)]}
          {...register('side', orNone)}
        />
      )}
      <LinesField
        label="Where"
        hint="Which pen, which corner, what stood there."
        error={errors.where?.message}
        {...register('where')}
      />
      <LinesField
        label="Before it"
        hint="What was being asked, what was seen first."
        error={errors.before?.message}
        {...register('before')}
      />
      <LinesField
        label="After it"
        hint="What was done, how the horse came out of it."
        error={errors.after?.message}
        {...register('after')}
      />
      {told && (
        <TextField
          label="Why it is corrected"
          hint="Empty where more is told and nothing was wrong."
          maxLength={200}
          error={errors.because?.message}
          {...register('because')}
        />
      )}
      <Button look="act" type="submit">
        {told ? 'Correct' : 'Record the incident'}
      </Button>
    </form>
  )
}

import type { Passport } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { FEET_FIRST, SCHOOLS } from '@still-pine/core/program'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useQuery, useCommand } from '../app/client'
import { Loading } from '../shared/loading'
import { NotYours } from '../shared/not-yours'
import { blankHorse, HorseFields } from './horse-form'
import { formFrom, keepTold, PassportIn } from './passport-in'
import { SchoolPicker } from '../shared/school-picker'

const Form = ({ today, personId }: { today: string; personId: string }) => {
  const navigate = useNavigate()
  // The id is made once, so that pressing twice adds one horse.
  const [id] = useState(() => uuid())
  const [school, setSchool] = useState(FEET_FIRST.school)
  const [passport, setPassport] = useState<Passport | null>(null)
  const program = SCHOOLS.find((one) => one.school === school) ?? FEET_FIRST
  const [putHorse, { error, isLoading }] = useCommand('putHorse')
  return (
    <>
      <PassportIn passport={passport} program={program} onRead={setPassport} />
      <HorseFields
        key={passport ? passport.signed.on + passport.horse.name : 'new'}
        told={passport ? formFrom(passport, today) : blankHorse(today)}
        today={today}
        save="Add this horse"
        isBusy={isLoading}
        error={error}
        put={async (form) => {
          const done = await putHorse({ horseId: id, body: { ...form, school, version: 0 } })
          if (!done.error && passport) await keepTold(passport, { personId, horseId: id, program, today })
          // A handled horse shows first what it can; one that is not begins at the beginning.
          if (!done.error) void navigate(form.handled ? `/horses/${id}/arrival` : `/horses/${id}`)
          return done.error
        }}
      >
        <SchoolPicker school={school} onPick={setSchool} />
        <p className="text-quiet">
          Every step begins New, whatever it could elsewhere, until it is asked here. A handled horse goes to
          its arrival check next.
        </p>
      </HorseFields>
    </>
  )
}

const NewHorsePage = () => {
  const { data: me } = useQuery('me')
  if (me && !mayDo(me.person.role, 'edit-horse')) return <NotYours />
  return (
    <main className="mx-auto flex w-full max-w-2xl flex-col gap-5 px-4 py-4">
      <h1 className="text-3xl">Add a horse</h1>
      {me ? <Form today={me.today} personId={me.person.id} /> : <Loading />}
    </main>
  )
}

export default NewHorsePage

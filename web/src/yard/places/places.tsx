import { zodResolver } from '@hookform/resolvers/zod'
import { PLACE_USES, PutPlace, type Place } from '@still-pine/contract'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useCommand, useQuery, wordsFor } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { Button } from '../../ui/button'
import { TextField, Tick } from '../../ui/inputs'
import { toast } from '../../ui/toast'

const USE_WORDS: Readonly<Record<(typeof PLACE_USES)[number], string>> = {
  loose: 'loose work',
  ground: 'ground work',
  lines: 'long lines',
  mounting: 'mounting',
  ridden: 'riding',
  loading: 'loading',
  tying: 'tying',
}

const NEW: PutPlace = { name: '', suits: ['ground'], home: false, note: '', version: 0 }

const PlaceForm = ({ place, onDone }: { place: Place | null; onDone: () => void }) => {
  const [placeId] = useState(() => place?.id ?? uuid())
  const [put, { isLoading }] = useCommand('putPlace')
  const { register, handleSubmit, formState } = useForm<PutPlace>({
    resolver: zodResolver(PutPlace),
    defaultValues: place ?? NEW,
  })
  const save = handleSubmit(async (body) => {
    const { error } = await put({ placeId, body })
    if (error) toast.error(wordsFor(error))
    else onDone()
  })
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void save(event)}>
      <TextField label="Name" error={formState.errors.name?.message} {...register('name')} />
      <fieldset>
        <legend className="font-bold">It suits</legend>
        <div className="grid grid-cols-2">
          {PLACE_USES.map((use) => (
            <Tick key={use} value={use} {...register('suits')}>
              {USE_WORDS[use]}
            </Tick>
          ))}
        </div>
      </fieldset>
      <Tick {...register('home')}>
        <b>Home</b>: a step proved only here is proved at home only
      </Tick>
      <TextField label="Note" hint="Footing, size, what is near it." {...register('note')} />
      <Button look="act" type="submit" disabled={isLoading}>
        {place ? 'Save' : 'Add it'}
      </Button>
    </form>
  )
}

/** Pens and tracks, with what each suits. */
export const Places = ({ mayEdit }: { mayEdit: boolean }) => {
  const { data } = useQuery('places')
  return (
    <EditList
      title="Places"
      one="place"
      empty="No pen or track yet. With one, the record tells where a step was proved."
      items={data?.places}
      mayEdit={mayEdit}
      name={({ name }) => name}
      words={({ home, suits, note }) =>
        [home ? 'home' : '', ...suits.map((use) => USE_WORDS[use]), note].filter(Boolean).join(', ')
      }
      form={(place, close) => <PlaceForm place={place} onDone={close} />}
    />
  )
}

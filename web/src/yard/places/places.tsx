import { PLACE_USES, PutPlace, type Place } from '@still-pine/contract'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { Sheet } from '../../ui/sheet'

type Use = (typeof PLACE_USES)[number]

const USE_WORDS: Readonly<Record<Use, string>> = {
  loose: 'loose work',
  ground: 'ground work',
  lines: 'long lines',
  mounting: 'mounting',
  ridden: 'riding',
  loading: 'loading',
  tying: 'tying',
}

const PlaceForm = ({ place, onDone }: { place: Place | null; onDone: () => void }) => {
  const [id] = useState(() => place?.id ?? uuid())
  const [name, setName] = useState(place?.name ?? '')
  const [suits, setSuits] = useState<readonly Use[]>(place?.suits ?? ['ground'])
  const [home, setHome] = useState(place?.home ?? false)
  const [note, setNote] = useState(place?.note ?? '')
  const [fault, setFault] = useState<string>()
  const [put, { isLoading }] = useCommand('putPlace')
  const save = async (): Promise<void> => {
    const read = PutPlace.safeParse({ name, suits, home, note, version: place?.version ?? 0 })
    if (!read.success) return setFault(read.error.issues[0]?.message)
    const done = await put({ placeId: id, body: read.data })
    if (done.error) toast.error(wordsFor(done.error))
    else onDone()
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
      <Field label="Name" error={fault}>
        {(props) => (
          <input className={INPUT} value={name} onChange={(e) => setName(e.target.value)} {...props} />
        )}
      </Field>
      <fieldset>
        <legend className="font-bold">It suits</legend>
        <div className="grid grid-cols-2">
          {PLACE_USES.map((use) => (
            <label key={use} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6"
                checked={suits.includes(use)}
                onChange={(e) =>
                  setSuits(e.target.checked ? [...suits, use] : suits.filter((one) => one !== use))
                }
              />
              {USE_WORDS[use]}
            </label>
          ))}
        </div>
      </fieldset>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6"
          checked={home}
          onChange={(e) => setHome(e.target.checked)}
        />
        <span>
          <b>Home</b>: a step proved only here is proved at home only
        </span>
      </label>
      <Field label="Note" hint="Footing, size, what is near it.">
        {(props) => (
          <input className={INPUT} value={note} onChange={(e) => setNote(e.target.value)} {...props} />
        )}
      </Field>
      <Button look="act" type="submit" disabled={isLoading}>
        {place ? 'Keep it' : 'Add it'}
      </Button>
    </form>
  )
}

/** Pens and tracks, with what each suits. */
export const Places = ({ mayEdit }: { mayEdit: boolean }) => {
  const { data } = useQuery('places')
  const [open, setOpen] = useState<Place | 'new' | null>(null)
  return (
    <section>
      <h2 className="mb-2 text-2xl">Places</h2>
      {data?.places.length === 0 && (
        <p>No pen or track yet. With one, the record tells where a step was proved.</p>
      )}
      <ul>
        {data?.places.map((place) => (
          <li
            key={place.id}
            className="flex min-h-11 items-center justify-between gap-x-3 border-t border-line py-1"
          >
            <span>
              <b>{place.name}</b>{' '}
              <span className="text-quiet">
                {[place.home ? 'home' : '', ...place.suits.map((use) => USE_WORDS[use]), place.note]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </span>
            {mayEdit && (
              <Button look="quiet" aria-label={`Change ${place.name}`} onClick={() => setOpen(place)}>
                Change
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <Button className="mt-2" onClick={() => setOpen('new')}>
          Add a place
        </Button>
      )}
      <Sheet
        open={open !== null}
        title={open === 'new' ? 'A new place' : 'Change a place'}
        onClose={() => setOpen(null)}
      >
        {open !== null && <PlaceForm place={open === 'new' ? null : open} onDone={() => setOpen(null)} />}
      </Sheet>
    </section>
  )
}

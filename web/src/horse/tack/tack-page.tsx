import type { Check } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { bodyOf } from '@still-pine/core/body'
import { ageBounds } from '@still-pine/core/facts'
import { bitSize, strings, tackBook } from '@still-pine/core/ride'
import { useState } from 'react'
import { useQuery } from '../../app/client'
import { EntryForm } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'
import { useCare } from '../use-care'
import { CARRY_FIELDS, STRINGS_FIELDS, WORN_FIELDS } from './tack-fields'

type Book = ReturnType<typeof tackBook>

const REASONS: Readonly<Record<Book['saddle']['reasons'][number], string>> = {
  never: 'it was never checked on this horse',
  failed: 'it did not pass',
  days: 'the check is too old',
  weight: 'the horse weighs five per cent more or less',
  withers: 'its withers grew two centimetres',
  girth: 'the girth moved two holes',
}

const saddleWords = ({ saddle, isNewSaddle }: Book): string => {
  if (isNewSaddle) return 'Another saddle than the one that was checked: the fitter looks before it is used.'
  if (saddle.says === 'ok') return `The saddle’s check holds to ${longDay(saddle.holdsToOn!)}.`
  const why = saddle.reasons.map((reason) => REASONS[reason]).join(', and ')
  return saddle.says === 'stop' ? `No saddle on it: ${why}.` : `The saddle is to be checked again: ${why}.`
}

const MISSING: Readonly<Record<Book['contact']['missing'][number], string>> = {
  mouth: 'a mouth that a vet or dentist passed within a year',
  age: 'thirty months',
  days: 'ten days of carrying',
  'quiet-minutes': 'a hundred and fifty quiet minutes',
  weeks: 'three weeks from the first to the last',
  'last-three': 'the last three of a quarter of an hour, nine tenths of it quiet',
}

const contactWords = ({ contact }: Book): string => {
  const so = `${Math.round(contact.quietMinutes)} quiet minutes in ${contact.days} carries`
  if (contact.says === 'contact-may-begin') return `${so}: contact may begin.`
  const lacks = contact.missing.map((one) => MISSING[one]).join('; ')
  return contact.says === 'stop' ? `No bit yet. It wants ${lacks}.` : `${so}. Before a contact: ${lacks}.`
}

const looksOf = (checks: readonly Check[], kind: Check['kind']) =>
  checks
    .filter((check) => check.kind === kind && check.withdrawn === null)
    .toSorted((a, b) => a.on.localeCompare(b.on))

/** What it wears, whether that still fits, and how far its mouth is. */
const TackPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: care } = useCare(horseId)
  const { data: measured } = useQuery('measurements', { horseId })
  const { entries, error: failed, retry: again, put, strike } = useEntries(horseId)
  const [isChanging, setChanging] = useState(false)
  const mayLog = useMay('log-answers')
  if (!line || !entries || !care || !measured)
    return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const ageOn = (on: string) => ageBounds({ born: horse.born, age: horse.estimate ?? null }, on)
  const body = bodyOf(
    measured.measurements.filter(({ takenBack }) => !takenBack),
    { on: day, ageOn },
  )
  const worn = entriesOf(entries, 'tack')
  const carried = entriesOf(entries, 'bit-carry')
  const strung = entriesOf(entries, 'strings')
  const book = tackBook(
    {
      worn,
      saddleLooks: looksOf(care.checks, 'saddle'),
      mouthLooks: looksOf(care.checks, 'mouth'),
      weightsKg: body.weights.map(({ on, kg }) => ({ on, value: kg })),
      withersCm: body.heights.map(({ on, withersCm }) => ({ on, value: withersCm! })),
      carries: carried.map(({ on, minutes, quietMinutes }) => ({ day: on, minutes, quietMinutes })),
    },
    { on: day, ageLowMonths: ageOn(day)?.low ?? 0 },
  )
  const now = worn.at(-1)
  const size = now && now.mouthMm !== null ? bitSize(now.mouthMm, now.cheek) : null
  const lastStrings = strung.at(-1)
  const least =
    lastStrings &&
    strings({
      lastCm: lastStrings.cm,
      askedCm: lastStrings.cm,
      lastWell: lastStrings.well,
      noseAhead: lastStrings.noseAhead,
    }).leastCm
  const things = now
    ? ([
        ['Saddle', now.saddle],
        ['Pad', now.pad],
        ['Girth hole', now.girthHole === null ? '' : String(now.girthHole)],
        ['Bridle', now.bridle],
        ['Bit', now.bit],
        ['Line', now.lineM === null ? '' : `${now.lineM} m`],
      ].filter(([, what]) => what) as [string, string][])
    : []
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <div className="grid gap-8 desk:grid-cols-2">
        <div className="flex flex-col gap-4">
          <section className="text-lg">
            <h2 className="mb-1 text-2xl">What it wears</h2>
            {things.length === 0 && <p>Nothing is told yet.</p>}
            <dl>
              {things.map(([name, what]) => (
                <div key={name} className="flex gap-3 border-t border-line py-1">
                  <dt className="w-28 font-bold">{name}</dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
            {mayLog && (
              <Button className="no-print mt-2" onClick={() => setChanging(true)}>
                {now ? 'It wears something else now' : 'Say what it wears'}
              </Button>
            )}
          </section>
          <section className="max-w-prose text-lg">
            <h2 className="mb-1 text-2xl">Does it fit</h2>
            <p className={book.saddle.says === 'stop' ? 'font-bold text-stop' : ''}>{saddleWords(book)}</p>
            {size && (
              <p>
                A bit of {size.lowMm} to {size.highMm} mm for this mouth: take {size.stockMm}.
              </p>
            )}
            <p>{contactWords(book)}</p>
            {least !== undefined && (
              <p>The strings no shorter than {least} cm next time, and not on the day itself again.</p>
            )}
          </section>
        </div>
        <div className="flex flex-col gap-4">
          <EntryList
            kind="bit-carry"
            book={{ put, strike }}
            today={day}
            title="Bit carried"
            one="carry"
            empty="Nothing yet. Carried quietly first: a contact comes after."
            items={carried.toReversed()}
            name={({ on }) => longDay(on)}
            words={({ minutes, quietMinutes, byName }) =>
              `${minutes} minutes, ${quietMinutes} of them quiet; ${byName}`
            }
            fields={CARRY_FIELDS}
            submit="Keep it"
          />
          <EntryList
            kind="strings"
            book={{ put, strike }}
            today={day}
            title="Strings"
            one="length"
            items={strung.toReversed()}
            name={({ on }) => longDay(on)}
            words={({ cm, well, noseAhead }) =>
              `${cm} cm, ${well ? 'went well' : 'did not go well'}${noseAhead ? '' : ', the nose came behind'}`
            }
            fields={STRINGS_FIELDS}
            submit="Keep it"
          />
        </div>
      </div>
      <Sheet open={isChanging} title="What it wears" onClose={() => setChanging(false)}>
        <EntryForm
          kind="tack"
          today={day}
          told={now ?? null}
          fields={WORN_FIELDS}
          read={(values) => ({ ...values, on: day })}
          submit={[['This is what it wears', {}]]}
          onPut={(entry) => {
            void put(entry)
            setChanging(false)
          }}
        />
      </Sheet>
    </main>
  )
}

export default TackPage

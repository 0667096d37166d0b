import { entriesOf } from '@still-pine/contract/entries-of'
import { daysBetween } from '@still-pine/core/answer'
import { ageBounds } from '@still-pine/core/facts'
import { aidOf, rideBook } from '@still-pine/core/ride'
import { Link } from 'react-router'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ShutList } from '../../shared/shut-list'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { longDay } from '../../shared/words'
import { rideFields, rideFrom, typedOf } from './ride-fields'
import { againstWords, aidWords, nextWords, rideWords } from './sentences'

/** The rides of a horse by number: day 20 of work may be ride 6. */
const RidesPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { entries, error: failed, retry: again, ...book } = useEntries(horseId)
  if (!line || !entries) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const aged = { born: horse.born, age: horse.estimate ?? null }
  const told = entriesOf(entries, 'ride')
  const { rides, next } = rideBook(
    told.map((one) => ({ ...one, beganAt: one.beganAt === null ? null : Date.parse(one.beganAt) })),
    { on: day, ageOn: (on) => ageBounds(aged, on)?.low ?? null },
  )
  const aid = aidOf(rides.map((one) => one.told.aid))
  const numbered = new Map(rides.map((one) => [one.told.id, one]))
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <section className="max-w-prose border-l-8 border-ink bg-panel px-3 py-2" role="status">
        <p className="text-xl font-bold">{nextWords(next)}</p>
        <p>
          Ground work first. It ends at its minutes, on the first good one of something new, at a sign that it
          tires, after a minute tight. Then a slack rein, down after a pause, five minutes walked.
        </p>
        {aid && <p>{aidWords(aid)}</p>}
        {next.totalMinutes > 0 && (
          <Link
            className="no-print my-2 inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
            to={`/pen/${horseId}/ride`}
          >
            Log it while it goes
          </Link>
        )}
        <p className="text-quiet">
          {rides.length} rides, {line.workDays} work days, {daysBetween(horse.arrived, day)} calendar days
          here.
        </p>
      </section>
      <div className="max-w-prose">
        <EntryList
          kind="ride"
          book={book}
          today={day}
          title="Ride book"
          one="ride"
          empty="Nobody has ridden it yet. Whoever sits up, however shortly, it is a ride."
          items={told.toReversed().filter(({ id }) => numbered.has(id))}
          name={({ id, on }) => `Ride ${numbered.get(id)!.number}, ${longDay(on)}`}
          words={({ id }) => rideWords(numbered.get(id)!)}
          beneath={({ id }) => {
            const against = againstWords(numbered.get(id)!)
            return against.length > 0 && <p className="font-bold text-stop">{against.join(', ')}</p>
          }}
          fields={rideFields(day)}
          start={typedOf}
          read={rideFrom}
          submit="Keep this ride"
        />
      </div>
    </main>
  )
}

export default RidesPage

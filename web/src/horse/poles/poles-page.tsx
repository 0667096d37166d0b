import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { oneIn } from '@still-pine/core/arithmetic'
import { bodyOf } from '@still-pine/core/body'
import { ageBounds } from '@still-pine/core/facts'
import { CHANGED, fenceBook, landingLead } from '@still-pine/core/jumping'
import { useQuery } from '../../app/client'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ShutList } from '../../shared/shut-list'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { longDay } from '../../shared/words'
import { SetOutPanel } from './set-out-panel'

type Book = ReturnType<typeof fenceBook>

const WARNS: Readonly<Record<Book['next']['warns'][number], string>> = {
  rides: 'fewer than twenty rides',
  'raised-first': 'raised poles are not ordinary yet',
  'poles-first': 'no poles before it on both reins',
  height: 'too high',
  efforts: 'too many',
  week: 'too much in one week',
  'too-soon': 'less than three days after the last',
  'one-thing': 'more than one thing changed',
}

/** "Session 3: up to 30 cm and 6 efforts; once a week." */
const nextWords = ({ number, caps, stops, warns }: Book['next']): string => {
  if (stops.length > 0) return 'No fence: not before it is known to be four years old.'
  const most = `up to ${caps.heightCm} cm and ${caps.efforts} efforts, ${caps.sessionsAWeek === 1 ? 'once' : 'twice'} a week`
  const not = warns.map((warn) => WARNS[warn]).join(', ')
  return `Session ${number}: ${most}.${not ? ` Not today: ${not}.` : ' It ends on the first good one of each rein.'}`
}

const CHANGED_WORDS = [['', 'nothing'], ...CHANGED.map((one) => [one, one] as const)] as const

const fieldsOn = (today: string): readonly EntryField[] => [
  { name: 'on', label: 'On', as: 'day', start: today },
  { name: 'heightCm', label: 'Highest, cm', as: 'number' },
  { name: 'efforts', label: 'Efforts', hint: 'every fence of a line counts', as: 'number' },
  { name: 'goodLeft', label: 'Good to the left', as: 'number', start: '0' },
  { name: 'goodRight', label: 'Good to the right', as: 'number', start: '0' },
  { name: 'landedLeft', label: 'Landed on the left lead', as: 'number', start: '0' },
  { name: 'landedRight', label: 'Landed on the right lead', as: 'number', start: '0' },
  { name: 'polesBothReins', label: 'Poles before, on both reins', as: 'tick' },
  {
    name: 'first',
    label: 'What was changed',
    as: CHANGED_WORDS,
    of: 'changed',
  },
  { name: 'second', label: 'And besides', as: CHANGED_WORDS, of: 'changed' },
]

/** "Lands on the left lead in 11 of 12 (1 in 158 by chance)." Nothing while nobody saw a landing. */
const landingWords = (
  told: readonly Pick<EntryOf<'jumps'>, 'landedLeft' | 'landedRight'>[],
): string | null => {
  const left = told.reduce((sum, { landedLeft }) => sum + landedLeft, 0)
  const right = told.reduce((sum, { landedRight }) => sum + landedRight, 0)
  const { n, p, says } = landingLead(left, right)
  if (n === 0) return null
  if (says === 'too-few') return `Landing leads: ${left} left, ${right} right; too few to say.`
  if (says === 'even') return `Landing leads: ${left} left, ${right} right; even.`
  return `Lands on the ${says} lead in ${says === 'left' ? left : right} of ${n} (${oneIn(p)} by chance): look at that side’s bend and back before anything is raised.`
}

/** The rung of “poles” at which they are raised. */
const RAISED_RUNG = 4

/** Of a horse whose height nobody told. */
const USUAL_CM = 155

/** Poles, obstacles and fences: set out for this horse, and how much is enough. */
const PolesPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: measured } = useQuery('measurements', { horseId })
  const { entries, error: failed, retry: again, ...book } = useEntries(horseId)
  if (!line || !program || !entries || !measured)
    return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const ageOn = (on: string) => ageBounds({ born: horse.born, age: horse.estimate ?? null }, on)
  const { heights } = bodyOf(
    measured.measurements.filter(({ takenBack }) => !takenBack),
    { on: day, ageOn },
  )
  const withersCm = heights.at(-1)?.withersCm ?? horse.heightCm
  const rides = entriesOf(entries, 'ride')
  const told = entriesOf(entries, 'jumps')
  const poles = line.tracks.filter(({ step }) => step === 'poles')
  const { sessions, next } = fenceBook(told, {
    on: day,
    withersCm: withersCm ?? USUAL_CM,
    ageOn: (on) => ageOn(on)?.low ?? null,
    ridesBy: (on) => rides.filter((ride) => ride.on <= on).length,
    raisedOrdinary: poles.length > 0 && poles.every(({ view }) => view.holdsToRung >= RAISED_RUNG),
  })
  const landed = landingWords(told)
  const numbered = new Map(sessions.map((one) => [one.told.id, one]))
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <ShutList horseId={horseId} shut={line.shut} />
      {withersCm === null && (
        <p className="max-w-prose">
          Its height is not known: {USUAL_CM} cm is taken. Measure it under Body, then this fits it.
        </p>
      )}
      <SetOutPanel withersCm={withersCm ?? USUAL_CM} name={horse.name} />
      <p role="status" className="max-w-prose border-l-8 border-ink bg-panel px-3 py-2 text-lg font-bold">
        {nextWords(next)}
      </p>
      {landed && <p className="max-w-prose">{landed}</p>}
      <div className="no-print max-w-prose">
        <EntryList
          kind="jumps"
          book={book}
          today={day}
          title="Over fences"
          one="session"
          empty="None yet. Raised poles come first, and stay ordinary."
          items={told.toReversed().filter(({ id }) => numbered.has(id))}
          name={({ id, on }) => `Session ${numbered.get(id)!.number}, ${longDay(on)}`}
          words={({ heightCm, efforts, goodLeft, goodRight, changed }) =>
            [
              `${efforts} efforts up to ${heightCm} cm`,
              `good: ${goodLeft} left, ${goodRight} right`,
              changed.length > 0 ? `changed: ${changed.join(', ')}` : '',
            ]
              .filter(Boolean)
              .join('; ')
          }
          beneath={({ id }) => {
            const { stops, warns } = numbered.get(id)!.judged
            const against = [...stops.map(() => 'too young'), ...warns.map((warn) => WARNS[warn])]
            return against.length > 0 && <p className="font-bold text-stop">{against.join(', ')}</p>
          }}
          fields={fieldsOn(day)}
          start={(one) => ({ first: one?.changed[0] ?? '', second: one?.changed[1] ?? '' })}
          read={({ first, second, ...values }) => ({
            ...values,
            changed: [first, second].filter((one) => one !== null),
          })}
          submit="Keep this session"
        />
      </div>
    </main>
  )
}

export default PolesPage

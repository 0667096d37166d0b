import { Link } from 'react-router'
import { HorseHeader } from '../shared/horse-header'
import { Loading } from '../shared/loading'
import { ShutList } from '../shared/shut-list'
import { useHorse } from '../shared/use-horse'
import { fullDay } from '../shared/words'
import { SchoolOfHorse } from './school-of-horse'
import { useMay } from '../shared/use-may'

const PAGES: readonly (readonly [path: string, name: string, what: string])[] = [
  ['body', 'Body', 'how heavy and how grown it is, and who may sit on it'],
  ['tack', 'Tack', 'what it wears, whether that still fits, how far its mouth is'],
  ['cues', 'Cue book', 'how it is asked: one signal, one meaning; to print for the next rider'],
  [
    'report',
    'Report for its owner',
    'what was done, what holds, what is next; to print, or to give by a link',
  ],
  [
    'passport',
    'Passport',
    'what goes with it to its next hands: what was promised, what holds, how it is asked; PDF and file',
  ],
  [
    'blocks',
    'Blocks and reports',
    'the stretches of its life with people, its owner, how it stood at the end of each',
  ],
  ['arrival', 'Arrival check', 'where the work of a handled horse begins'],
  ['recheck', 'Re-check', 'what still holds after a break'],
  ['farrier', 'For the farrier', 'what its feet allow, on one page to print'],
]

/** Who a horse is, and what becomes of it. */
const LifePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const mayEdit = useMay('edit-horse')
  if (!line || !program) return <Loading error={error} retry={retry} />
  const { horse } = line
  const who = (
    <span className="block text-quiet">
      {[horse.sex, horse.marks, horse.origin, `here since ${fullDay(horse.arrived)}`]
        .filter(Boolean)
        .join(', ')}
    </span>
  )
  const leaving = program.gates.find(({ ticked }) => ticked)
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <div className="grid gap-8 desk:grid-cols-2">
        <ul>
          <li className="border-t border-line">
            {mayEdit ? (
              <Link className="block min-h-16 py-2 text-lg" to={`/horses/${horseId}/edit`}>
                <b className="font-name underline">Who it is</b>
                {who}
              </Link>
            ) : (
              <div className="min-h-16 py-2 text-lg">
                <b className="font-name">Who it is</b>
                {who}
              </div>
            )}
          </li>
          {PAGES.map(([path, name, what]) => (
            <li key={path} className="border-t border-line">
              <Link className="block min-h-16 py-2 text-lg" to={`/horses/${horseId}/${path}`}>
                <b className="font-name underline">{name}</b>
                <span className="block text-quiet">{what}</span>
              </Link>
            </li>
          ))}
          {leaving && (
            <li className="border-t border-line">
              <Link className="block min-h-16 py-2 text-lg" to={`/horses/${horseId}/gates/${leaving.key}`}>
                <b className="font-name underline">{leaving.name}</b>
                <span className="block text-quiet">what it must know and take with it when it leaves</span>
              </Link>
            </li>
          )}
        </ul>
        <SchoolOfHorse horse={horse} />
      </div>
    </main>
  )
}

export default LifePage

import type { Horse } from '@still-pine/contract'
import { ageBounds } from '@still-pine/core/facts'
import { Link, NavLink, useLocation } from 'react-router'
import { ageWords } from './words'
import { useMay } from './use-may'

/** The four doors of a horse, and the pages behind each; the first is where the door leads. */
const DOORS = [
  {
    word: 'Line',
    pages: [
      ['', 'Rope'],
      ['/steps', 'Table'],
    ],
  },
  {
    word: 'How it goes',
    pages: [
      ['/reading', 'Readings'],
      ['/from-above', 'From above'],
      ['/things', 'Things'],
      ['/going', 'On the line'],
      ['/rides', 'Rides'],
      ['/poles', 'Poles'],
      ['/trouble', 'Trouble'],
      ['/counts', 'Counts'],
    ],
  },
  {
    word: 'Record',
    pages: [
      ['/record', 'Time line'],
      ['/incidents', 'Checks and incidents'],
      ['/care', 'Care'],
    ],
  },
  {
    word: 'Life',
    pages: [
      ['/life', 'Who it is'],
      ['/body', 'Body'],
      ['/tack', 'Tack'],
      ['/cues', 'Cues'],
      ['/report', 'Report'],
      ['/passport', 'Passport'],
      ['/blocks', 'Blocks'],
      ['/arrival', 'Arrival'],
      ['/recheck', 'Re-check'],
    ],
  },
] as const

type Door = (typeof DOORS)[number]

/** The door behind which an address lies, where it is one of theirs. */
const doorOf = (horseId: string, pathname: string): Door | undefined =>
  DOORS.find(({ pages }) => pages.some(([path]) => pathname === `/horses/${horseId}${path}`))

/** The pages behind the open door. */
const Pages = ({ horse, door }: { horse: Horse; door: Door }) => (
  <nav aria-label={door.word} className="no-print flex w-full flex-wrap gap-x-5">
    {door.pages.map(([path, word]) => (
      <NavLink
        key={path}
        end
        to={`/horses/${horse.id}${path}`}
        className={({ isActive }) =>
          `inline-flex min-h-11 items-center ${isActive ? 'font-bold underline decoration-2 underline-offset-4' : 'text-quiet underline'}`
        }
      >
        {word}
      </NavLink>
    ))}
  </nav>
)

interface Props {
  readonly horse: Horse
  readonly today: string
  readonly note?: string
}

/** Its age, or the bounds of it as they were said. */
const ageOf = (horse: Horse, today: string): string => {
  const age = ageBounds({ born: horse.born, age: horse.estimate ?? null }, today)
  if (age === null) return 'age not known'
  if (age.low === age.high) return ageWords(age.low)
  const inYears = age.low % 12 === 0 && age.high % 12 === 0
  return `${inYears ? age.low / 12 : ageWords(age.low)} to ${ageWords(age.high)}, ${horse.estimate?.how.trim() || 'by guess'}`
}

/** Who this is, in one line, and its four doors. */
export const HorseHeader = ({ horse, today, note }: Props) => {
  const { pathname } = useLocation()
  const open = doorOf(horse.id, pathname)
  const mayEdit = useMay('edit-horse')
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <div className="flex min-w-0 flex-wrap items-baseline gap-x-4 desk:flex-1 desk:flex-nowrap">
        <h1 className="text-3xl font-extrabold">{horse.name}</h1>
        {mayEdit && (
          <Link
            to={`/horses/${horse.id}/edit`}
            className="no-print inline-flex min-h-11 items-center underline"
          >
            Edit
          </Link>
        )}
        <p className="min-w-0 text-quiet desk:flex-1 desk:truncate">
          {[
            horse.sex,
            ageOf(horse, today),
            horse.archived ? 'has left' : '',
            note,
            horse.schoolName,
            horse.origin ? horse.origin.charAt(0).toLowerCase() + horse.origin.slice(1) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <nav
        aria-label={`Views of ${horse.name}`}
        className="no-print flex gap-6 phone:grid phone:w-full phone:grid-cols-4 phone:gap-1"
      >
        {DOORS.map((door) => (
          <Link
            key={door.word}
            to={`/horses/${horse.id}${door.pages[0][0]}`}
            aria-current={door === open ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center justify-center text-center font-name font-bold phone:min-h-16 phone:leading-tight ${
              door === open ? 'border-b-4 border-ink' : 'text-quiet'
            }`}
          >
            {door.word}
          </Link>
        ))}
      </nav>
      {open && <Pages horse={horse} door={open} />}
    </div>
  )
}

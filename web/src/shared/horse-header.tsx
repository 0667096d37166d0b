import type { Horse } from '@still-pine/contract'
import { ageBounds } from '@still-pine/core/facts'
import { useEffect, useRef } from 'react'
import { Link, NavLink, useLocation } from 'react-router'
import { ageWords } from './words'

const TABS = [
  ['', 'Line'],
  ['/steps', 'Steps'],
  ['/reading', 'How it goes'],
  ['/from-above', 'From above'],
  ['/incidents', 'Checks and incidents'],
  ['/trouble', 'Trouble'],
  ['/recheck', 'Re-check'],
  ['/blocks', 'Blocks'],
  ['/counts', 'Counts'],
  ['/book', 'Book'],
] as const

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

/** Who this is, in one line, and the views of it. */
export const HorseHeader = ({ horse, today, note }: Props) => {
  const views = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // On a phone the strip is longer than the screen: where one is stays in sight.
  useEffect(() => {
    const strip = views.current
    const here = strip?.querySelector<HTMLElement>('[aria-current=page]')
    if (strip && here) strip.scrollLeft = here.offsetLeft - (strip.clientWidth - here.offsetWidth) / 2
  }, [pathname])
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <div className="flex min-w-0 flex-wrap items-baseline gap-x-4 desk:flex-1 desk:flex-nowrap">
        <h1 className="text-3xl font-extrabold">{horse.name}</h1>
        <Link
          to={`/horses/${horse.id}/edit`}
          className="no-print inline-flex min-h-11 items-center underline"
        >
          Edit
        </Link>
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
        ref={views}
        aria-label={`Views of ${horse.name}`}
        className="no-print relative flex gap-4 overflow-x-auto whitespace-nowrap phone:w-full"
      >
        {TABS.map(([path, word]) => (
          <NavLink
            key={path}
            end
            to={`/horses/${horse.id}${path}`}
            className={({ isActive }) =>
              `inline-flex min-h-11 shrink-0 items-center font-name font-bold ${isActive ? 'border-b-4 border-ink' : 'text-quiet'}`
            }
          >
            {word}
          </NavLink>
        ))}
      </nav>
    </div>
  )
}

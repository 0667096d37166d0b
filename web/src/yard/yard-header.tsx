import { NavLink } from 'react-router'

const PAGES = [
  ['/yard', 'Horses'],
  ['/yard/people', 'People'],
  ['/yard/places', 'Places'],
  ['/yard/schools', 'Schools'],
  ['/yard/files', 'Files'],
  ['/yard/reading', 'Reports'],
  ['/yard/law', 'Law'],
  ['/yard/settings', 'Settings'],
  ['/practice', 'Practice pen'],
] as const

/** What a page of the yard is called, and the way to the others. */
export const YardHeader = ({ title }: { title: string }) => (
  <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
    <h1 className="text-3xl font-extrabold">{title}</h1>
    <nav aria-label="Pages of the yard" className="no-print flex flex-wrap gap-x-5">
      {PAGES.map(([to, word]) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            `inline-flex min-h-11 items-center font-name font-bold ${isActive ? 'border-b-4 border-ink' : 'text-quiet'}`
          }
        >
          {word}
        </NavLink>
      ))}
    </nav>
  </div>
)

import { Link } from 'react-router'
import { useMay } from '../shared/use-may'

const OTHERS = [
  [
    '/yard/in',
    'Bring a file',
    'A log of answers from elsewhere, or a whole yard. You see what will come first.',
  ],
  [
    '/yard/made-up',
    'Look at a made-up yard',
    'Ten horses with weeks of work, beside yours. One press brings you back.',
  ],
  ['/practice', 'Try the practice pen', 'Its horse is made up and answers like one. Nothing is kept.'],
  [
    '/yard/schools',
    'Look at the schools',
    'Four ways of working, side by side; a horse is worked by one of them.',
  ],
] as const

const FOR_STARTERS: readonly string[] = ['/yard/in', '/yard/made-up']

/** A yard with no horse: what to do first. */
export const EmptyYard = () => {
  const mayEdit = useMay('edit-horse')
  return (
    <main className="mx-auto flex w-full max-w-xl flex-col items-start gap-5 px-4 py-10">
      <h1 className="text-3xl">No horses yet</h1>
      {mayEdit ? (
        <>
          <p className="text-lg">Add the first one. You need its name; all else can wait.</p>
          <Link
            to="/horses/new"
            className="inline-flex min-h-16 items-center rounded-md bg-act px-6 font-name text-xl font-bold text-on-act"
          >
            Add a horse
          </Link>
        </>
      ) : (
        <p className="text-lg">A starter of the yard adds the first one.</p>
      )}
      <ul className="w-full">
        {OTHERS.filter(([to]) => mayEdit || !FOR_STARTERS.includes(to)).map(([to, name, what]) => (
          <li key={to} className="border-t border-line">
            <Link className="block min-h-16 py-2 text-lg" to={to}>
              <b className="font-name underline">{name}</b>
              <span className="block text-quiet">{what}</span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  )
}

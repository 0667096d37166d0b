import { Link } from 'react-router'

/** A yard with no horse: what to do first. */
export const EmptyYard = () => (
  <main className="mx-auto flex max-w-lg flex-col items-start gap-4 px-4 py-12">
    <h1 className="text-3xl">No horses yet</h1>
    <p className="text-lg">Add the first one. You need its name; all else can wait.</p>
    <Link
      to="/horses/new"
      className="inline-flex min-h-14 items-center rounded-md bg-act px-5 font-name text-xl font-bold text-on-act"
    >
      Add a horse
    </Link>
    <p className="text-lg">
      Or{' '}
      <Link className="inline-flex min-h-11 items-center underline" to="/yard/in">
        import a file
      </Link>{' '}
      of answers or a whole yard, or{' '}
      <Link className="inline-flex min-h-11 items-center underline" to="/practice">
        try the practice pen
      </Link>
      : its horse is made up, and nothing is kept.
    </p>
  </main>
)

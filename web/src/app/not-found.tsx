import { Link } from 'react-router'

/** An address that is no page of this yard. */
export const NotFound = () => (
  <main className="mx-auto flex max-w-md flex-col items-start gap-4 px-4 py-10">
    <h1 className="text-2xl">There is no page at this address</h1>
    <p>It may be misspelt, or from an older version. Nothing was changed.</p>
    <Link
      className="inline-flex min-h-16 items-center rounded-md border-2 border-act bg-act px-4 font-name font-bold text-on-act"
      to="/before"
    >
      Today
    </Link>
  </main>
)

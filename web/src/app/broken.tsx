import { useRouteError } from 'react-router'
import { Button } from '../ui/button'

/** When a page itself fails: what is kept stays kept, and a reload is the way on. */
export const Broken = () => {
  const error = useRouteError()
  return (
    <main className="mx-auto flex max-w-md flex-col items-start gap-4 px-4 py-10">
      <h1 className="text-2xl">This page could not be shown</h1>
      <p>
        What you logged is kept. Reload the page; if it happens again, tell whoever looks after the server.
      </p>
      {error instanceof Error && <p className="text-quiet break-words">It said: {error.message}</p>}
      <Button look="act" onClick={() => window.location.reload()}>
        Reload
      </Button>
    </main>
  )
}

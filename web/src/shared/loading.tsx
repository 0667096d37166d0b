import { wordsFor } from '../app/client'
import { Button } from '../ui/button'

/** What stands where something is being fetched, or could not be. */
export const Loading = ({ error, retry }: { error?: unknown; retry?: () => void }) =>
  error ? (
    <div role="alert" className="m-6 flex flex-col items-start gap-3 border-l-4 border-stop bg-panel p-4">
      <p>{wordsFor(error)}</p>
      {retry && <Button onClick={retry}>Try again</Button>}
    </div>
  ) : (
    <div role="status" className="m-6 flex flex-col gap-3 text-quiet">
      Fetching …
      {['w-1/3', 'w-2/3', 'w-1/2', 'w-3/5'].map((width) => (
        <span key={width} aria-hidden="true" className={`h-6 rounded-sm bg-line opacity-50 ${width}`} />
      ))}
    </div>
  )

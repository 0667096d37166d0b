import { toast } from '../ui/toast'
import { useCommand, useQuery, wordsFor } from './client'

/** Above every page of a made-up yard that somebody looks at beside their own. */
export const MadeUpBanner = () => {
  const { data: about } = useQuery('about')
  const [toOwn, { isLoading }] = useCommand('toOwnYard')
  // On a demo server there is no other yard to go back to.
  if (!about || about.demo) return null
  const back = async (): Promise<void> => {
    const done = await toOwn({ body: {} })
    if (done.error) return void toast.error(wordsFor(done.error))
    // Another person in another yard: nothing of this page is theirs.
    window.location.assign('/before')
  }
  return (
    <p className="no-print flex flex-wrap items-center gap-x-4 border-b-2 border-ink bg-panel px-4 py-1 desk:px-5">
      <span>
        <b>A made-up yard.</b> Try anything; nothing here is in your own.
      </span>
      <button
        type="button"
        className="min-h-11 font-bold underline"
        disabled={isLoading}
        onClick={() => void back()}
      >
        Back to your own yard
      </button>
    </p>
  )
}

import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { useCommand, useQuery, wordsFor } from '../app/client'
import { NotYours } from '../shared/not-yours'
import { useMay } from '../shared/use-may'
import { Button } from '../ui/button'
import { Notice } from '../ui/field'

/** What the made-up yard's own file offers; it is fetched when somebody wants to look at it. */
interface MadeUp {
  readonly fillMadeUpYard: (told: (done: number, of: number) => void) => Promise<void>
}

const FILE = '/made-up-yard.js'

/** Opens the made-up yard beside one's own, and fills it where that is not done yet. */
const MadeUpPage = () => {
  const mayLook = useMay('edit-people')
  const { data: me } = useQuery('me')
  const [go] = useCommand('toMadeUpYard')
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const [isBusy, setBusy] = useState(false)
  const look = async (): Promise<void> => {
    setFault(null)
    setBusy(true)
    try {
      await go({ body: {} }).unwrap()
      const { fillMadeUpYard } = (await import(/* @vite-ignore */ FILE)) as MadeUp
      await fillMadeUpYard((done, of) => setProgress({ done, of }))
      // Another person in another yard: nothing of this page is theirs.
      window.location.assign('/before')
    } catch (error) {
      setFault(wordsFor(error))
      setBusy(false)
    }
  }
  if (!mayLook) return <NotYours />
  if (me?.yard.demo && !isBusy)
    return (
      <main className="mx-auto w-full max-w-xl px-4 py-10">
        <h1 className="mb-4 text-3xl">A made-up yard</h1>
        <p className="text-lg">This is a made-up yard already. Try anything; nothing here is anybody’s.</p>
      </main>
    )
  return (
    <main className="mx-auto flex w-full max-w-xl flex-col items-start gap-5 px-4 py-10">
      <h1 className="text-3xl">A made-up yard</h1>
      <p className="text-lg">
        Ten horses with weeks of work, in a yard beside yours: to look at, to press in, to get wrong. Nothing
        of it is in your own, and one press brings you back.
      </p>
      <Button look="act" className="min-h-16 text-xl" disabled={isBusy} onClick={() => void look()}>
        Look at it
      </Button>
      {progress && (
        <div role="status" className="w-full">
          <progress className="w-full" value={progress.done} max={progress.of} />
          {progress.done} of {count(progress.of, 'horse')} brought in.
        </div>
      )}
      {fault && <Notice tone="stop">{fault}</Notice>}
    </main>
  )
}

export default MadeUpPage

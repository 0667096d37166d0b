import type { Settings } from '@still-pine/contract'
import { pressLagFrom } from '@still-pine/core/answer'
import { useEffect, useRef, useState } from 'react'
import { toast } from '../../ui/toast'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'

/** When the signs come, in seconds: five in ten, never in a rhythm. */
const SIGNS_AT = [1.4, 3.5, 4.9, 7.2, 9.1]

/** After a sign that nobody answered the next one waits for its own time. */
const SIGN_LASTS_MS = 1_200

type Drill =
  | { readonly stage: 'idle' }
  | { readonly stage: 'running'; readonly signSince: number | null; readonly presses: readonly number[] }

/** Ten seconds that measure how long the thumb takes after the eye. */
export const LagDrill = ({ settings }: { settings: Settings }) => {
  const [drill, setDrill] = useState<Drill>({ stage: 'idle' })
  const [save] = useCommand('settings')
  const timers = useRef<ReturnType<typeof setTimeout>[]>([])
  const presses = useRef<number[]>([])
  const clear = (): void => timers.current.forEach(clearTimeout)
  useEffect(() => clear, [])

  const finish = async (): Promise<void> => {
    setDrill({ stage: 'idle' })
    const lag = pressLagFrom(presses.current)
    if (lag === null) {
      toast('Too few presses to tell. Press each time the square turns amber.')
      return
    }
    const done = await save({ body: { ...settings, pressLagSeconds: lag } })
    if (done.error) toast.error(wordsFor(done.error))
    else toast(`Your reaction time is ${lag} s. It is taken off every answer from now on.`)
  }
  const showSign = (): void => {
    const since = performance.now()
    setDrill((now) => (now.stage === 'running' ? { ...now, signSince: since } : now))
    timers.current.push(
      setTimeout(
        () =>
          setDrill((now) =>
            now.stage === 'running' && now.signSince === since ? { ...now, signSince: null } : now,
          ),
        SIGN_LASTS_MS,
      ),
    )
  }
  const start = (): void => {
    clear()
    presses.current = []
    setDrill({ stage: 'running', signSince: null, presses: [] })
    timers.current = SIGNS_AT.map((at) => setTimeout(showSign, at * 1000))
    timers.current.push(setTimeout(() => void finish(), 10_500))
  }
  const press = (): void => {
    if (drill.stage !== 'running' || drill.signSince === null) return
    presses.current.push((performance.now() - drill.signSince) / 1000)
    setDrill({ ...drill, signSince: null, presses: [...presses.current] })
  }
  const isSign = drill.stage === 'running' && drill.signSince !== null
  return (
    <div className="flex flex-col gap-3">
      <h2 className="text-2xl">Your reaction time</h2>
      <p>
        Your thumb is later than your eye. Ten seconds measure by how much; now it is{' '}
        {settings.pressLagSeconds} s.
      </p>
      {drill.stage === 'idle' ? (
        <Button className="min-h-14" onClick={start}>
          Measure it, ten seconds
        </Button>
      ) : (
        <button
          type="button"
          data-testid="sign"
          data-sign={isSign}
          onPointerDown={press}
          onKeyDown={(event) => {
            if (!event.repeat && [' ', 'Enter', settings.forwardKey].includes(event.key)) press()
          }}
          autoFocus
          className={`min-h-40 rounded-xl border-2 border-ink font-name text-3xl font-extrabold ${isSign ? 'bg-act text-on-act' : 'bg-panel'}`}
        >
          {isSign ? 'Now' : `Wait · ${drill.presses.length} of ${SIGNS_AT.length}`}
        </button>
      )}
    </div>
  )
}

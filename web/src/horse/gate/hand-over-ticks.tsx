import type { Line } from '@still-pine/contract'
import { STAGES, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { useCommand, wordsFor } from '../../app/client'

/** The steps this horse is to leave with, ticked by the yard. */
export const HandOverTicks = ({ line, program }: { line: Line; program: Program }) => {
  const { id, handOver, version } = line.horse
  const [put] = useCommand('putHandOver')
  // What was just ticked stands at once, until the horse is read again with it.
  const [ticked, setTicked] = useState<{ steps: readonly string[]; version: number } | null>(null)
  const isOnItsWay = ticked?.version === version
  const standing = isOnItsWay ? ticked.steps : handOver
  const toggle = async (step: string): Promise<void> => {
    const steps = standing.includes(step) ? standing.filter((one) => one !== step) : [...standing, step]
    setTicked({ steps, version })
    const done = await put({ horseId: id, body: { steps, version } })
    if (!done.error) return
    setTicked(null)
    toast.error(wordsFor(done.error))
  }
  const isBegun = (stage: number): boolean =>
    program.steps.some(
      ({ key, stage: own }) =>
        own === stage &&
        (standing.includes(key) || line.tracks.some((track) => track.step === key && track.view.answers > 0)),
    )
  return (
    <section className="no-print">
      <h2 className="text-lg">What it leaves with</h2>
      <p className="mb-2 text-quiet">
        Tick what was promised. Each must be Solid on every side, and asked in the last 21 calendar days.
      </p>
      {STAGES.map((name, i) => (
        <details key={name} open={isBegun(i + 1)} className="border-t border-line py-1">
          <summary className="min-h-11 font-bold">
            {i + 1} {name}
          </summary>
          <div className="grid gap-x-4 desk:grid-cols-2">
            {program.steps
              .filter(({ stage }) => stage === i + 1)
              .map(({ key, name: step }) => (
                <label key={key} className="flex min-h-11 items-center gap-3">
                  <input
                    type="checkbox"
                    className="size-6"
                    disabled={isOnItsWay}
                    checked={standing.includes(key)}
                    onChange={() => void toggle(key)}
                  />
                  {step}
                </label>
              ))}
          </div>
        </details>
      ))}
    </section>
  )
}

import { GONE, type Horse } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { useCommand, wordsFor } from '../app/client'
import { Button } from '../ui/button'
import { INPUT } from '../ui/field'
import { toast } from '../ui/toast'
import { GONE_WORDS } from './edit-horse-page'

interface Props {
  /** Those that are chosen. */
  readonly horses: readonly Horse[]
  readonly today: string
  readonly all: () => void
  readonly done: () => void
}

/** What may be done with several horses at once. */
export const SeveralBar = ({ horses, today, all, done }: Props) => {
  const [reason, setReason] = useState<(typeof GONE)[number]>('home')
  const [put, { isLoading }] = useCommand('putArchived')
  const say = async (
    those: readonly Pick<Horse, 'id' | 'version'>[],
    archived: Horse['archived'],
  ): Promise<readonly Horse[]> => {
    const kept: Horse[] = []
    for (const { id, version } of those) {
      const reply = await put({ horseId: id, body: { archived, version } })
      if (reply.error) toast.error(wordsFor(reply.error))
      else kept.push(reply.data)
    }
    return kept
  }
  const leave = async (): Promise<void> => {
    const left = await say(horses, { on: today, reason, note: '' })
    if (left.length === 0) return
    done()
    toast(`${count(left.length, 'horse')} left the string. Nothing of them is lost.`, {
      action: { label: 'Undo', onClick: () => void say(left, null) },
    })
  }
  return (
    <div
      role="group"
      aria-label="Several horses"
      className="sticky top-0 z-10 flex flex-wrap items-center gap-3 border-y-2 border-ink bg-panel px-3 py-2"
    >
      <b role="status">{horses.length} chosen</b>
      <Button look="quiet" onClick={all}>
        Choose all shown
      </Button>
      <label className="flex items-center gap-2">
        They have left:
        <select
          className={INPUT}
          value={reason}
          onChange={(event) => setReason(event.target.value as typeof reason)}
        >
          {GONE.map((one) => (
            <option key={one} value={one}>
              {GONE_WORDS[one]}
            </option>
          ))}
        </select>
      </label>
      <Button disabled={isLoading || horses.length === 0} onClick={() => void leave()}>
        Take them out of the string
      </Button>
    </div>
  )
}

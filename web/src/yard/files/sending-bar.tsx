import { count } from '@still-pine/core/answer'
import { useEffect } from 'react'
import { api } from '../../app/client'
import type { Ended, Sending } from '../../app/send-file'
import { useAppDispatch } from '../../app/store'
import { Notice } from '../../ui/field'
import { grouped } from '../../shared/words'

const WORDS: Record<Sending['step'], (now: Sending) => string> = {
  sending: (now) => `Sending: ${now.step === 'sending' ? Math.floor(now.share * 100) : 0} %`,
  reading: (now) => (now.step === 'reading' ? `${grouped(now.answers)} answers read` : ''),
  judging: (now) => (now.step === 'judging' ? `Judging: ${now.horses} of ${now.of} horses` : ''),
}

const share = (now: Sending): number | undefined => {
  if (now.step === 'sending') return now.share
  return now.step === 'judging' ? now.horses / Math.max(1, now.of) : undefined
}

/** How far a file has come. */
export const SendingBar = ({ now }: { now: Sending }) => (
  <div role="status" className="flex max-w-xl flex-col gap-2 border-l-4 border-ink bg-panel px-4 py-3">
    <p>{WORDS[now.step](now)}</p>
    <progress className="h-4 w-full accent-(--solid)" value={share(now)} aria-label="How far it has come" />
    <p className="text-quiet">All of it is kept, or nothing. Leave this page open.</p>
  </div>
)

/** How it ended: what is there now, or why nothing is. */
export const EndedNotice = ({ ended }: { ended: Ended }) => {
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (ended.step === 'done') dispatch(api.util.invalidateTags(['Me', 'Yard', 'Horse']))
  }, [dispatch, ended])
  if (ended.step === 'done')
    return (
      <Notice>
        Brought in: {grouped(ended.answers)} answers of {count(ended.horses, 'horse')}. All tracks are judged
        anew.
      </Notice>
    )
  return (
    <div role="alert" className="border-l-4 border-stop bg-panel px-4 py-3">
      <p className="font-bold">{ended.title}</p>
      <ul className="mt-2 list-disc pl-5">
        {ended.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
    </div>
  )
}

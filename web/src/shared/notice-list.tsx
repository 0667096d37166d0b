import type { Line } from '@still-pine/contract'
import { withDays } from './words'

const TONE = {
  stop: 'border-stop text-stop font-bold',
  due: 'border-worn',
  soon: 'border-line text-quiet',
} as const

/** What checks and incidents say today, the gravest first. */
export const NoticeList = ({ notices }: { notices: Line['notices'] }) =>
  notices.length === 0 ? null : (
    <ul className="flex flex-col gap-1" aria-label="Checks and incidents">
      {notices.map(({ tone, words }) => (
        <li key={words} className={`border-l-4 bg-panel px-3 py-1.5 text-lg ${TONE[tone]}`}>
          {withDays(words)}
        </li>
      ))}
    </ul>
  )

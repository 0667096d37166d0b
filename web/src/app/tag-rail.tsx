import { useEffect, useRef } from 'react'
import { Link, useLocation } from 'react-router'
import type { TodayRow } from '@still-pine/contract'
import { useQuery } from './client'

/** What a horse does today, in a word or two; never a verdict, which could send somebody to the wrong horse. */
export const jobWords = ({ plan }: TodayRow): string => {
  if (!plan) return 'working it out'
  if (!plan.rests) return `ground, ${plan.minutes} min`
  return plan.reason.includes('veterinary') ? 'vet hold' : 'rests'
}

/** Where a tag leads: the same part of the day, another horse. */
export const pathForHorse = (pathname: string, horseId: string): string => {
  const [, part] = pathname.split('/')
  return ['before', 'pen', 'after'].includes(part ?? '') ? `/${part}/${horseId}` : `/horses/${horseId}`
}

/** So many tags are seen at a desk without scrolling; of a larger yard only those that work today are shown. */
const MOST_TAGS = 14

/** Today's string, and the horse that is chosen, whatever it does. */
const stringOf = (rows: readonly TodayRow[], chosen: string | null): readonly TodayRow[] => {
  if (rows.length <= MOST_TAGS) return rows
  const works = rows.filter(({ plan }) => plan && !plan.rests).slice(0, MOST_TAGS)
  return rows.filter((row) => works.includes(row) || row.horse.id === chosen)
}

/** One tag per horse in today's string. */
export const TagRail = ({ chosen }: { chosen: string | null }) => {
  const { data } = useQuery('today')
  const { pathname } = useLocation()
  const current = useRef<HTMLAnchorElement>(null)
  useEffect(() => {
    // Newer browsers give a promise here, which must not become the effect's clean-up.
    void current.current?.scrollIntoView({ block: 'nearest', inline: 'center' })
  }, [chosen, data])
  if (!data || data.rows.length === 0) return null
  const shown = stringOf(data.rows, chosen)
  const others = data.rows.length - shown.length
  return (
    <nav aria-label="Today’s horses" className="no-print flex gap-2 overflow-x-auto px-4 py-2 desk:px-5">
      {shown.map((row) => {
        const isChosen = row.horse.id === chosen
        return (
          <Link
            key={row.horse.id}
            ref={isChosen ? current : null}
            to={pathForHorse(pathname, row.horse.id)}
            aria-current={isChosen ? 'true' : undefined}
            className={`flex min-h-11 shrink-0 items-center gap-2 rounded-l-md rounded-r-2xl border-2 px-3 ${
              isChosen ? 'border-ink bg-ink text-ground' : 'border-line bg-panel text-ink'
            }`}
          >
            <span className="font-name font-bold">{row.horse.name}</span>
            <span className={isChosen ? '' : 'text-quiet'}>{jobWords(row)}</span>
          </Link>
        )
      })}
      {others > 0 && (
        <Link className="flex min-h-11 shrink-0 items-center px-3 underline" to="/yard">
          {others} more
        </Link>
      )}
    </nav>
  )
}

import { memo } from 'react'
import { Link } from 'react-router'
import { ARRIVAL } from './use-arrival-guide'

/** Pages whose asks are run, and what the pen calls them. */
const SHEETS: Readonly<Record<string, string>> = { recheck: 'Sheet', [ARRIVAL]: 'Result' }

export const backTo = (horseId: string, gate: string | null): string => {
  if (gate === null) return `/after/${horseId}`
  return gate in SHEETS ? `/horses/${horseId}/${gate}` : `/horses/${horseId}/gates/${gate}`
}

/** Checks lead back to their gate or sheet, a session to what it changed. */
export const DoneLink = memo(({ horseId, gate }: { horseId: string; gate: string | null }) => (
  <Link
    className="inline-flex min-h-11 items-center rounded-md border-2 border-ink px-4 font-name font-bold phone:min-h-16 low:min-h-16 low:text-xl phone:text-xl"
    to={backTo(horseId, gate)}
  >
    {gate === null ? 'Done' : (SHEETS[gate] ?? 'Gate')}
  </Link>
))

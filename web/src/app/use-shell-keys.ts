import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { isTyping } from '../ui/typing'
import { useQuery } from './client'
import { pathForHorse } from './tag-rail'

/** Where a page has no room for the button of Help, it asks for it by this. */
const HELP_WANTED = 'help-wanted'

export const askForHelp = (): void => void window.dispatchEvent(new Event(HELP_WANTED))

const PART_KEYS: Record<string, string> = { b: 'before', p: 'pen', a: 'after', w: 'week', y: 'yard' }

const horseIn = (pathname: string): string | undefined =>
  /^\/(?:before|pen|after|horses)\/([^/]+)/.exec(pathname)?.[1]

/** Keys that work everywhere; in the pen no letter leaves the page. */
export const useShellKeys = (inPen: boolean) => {
  const [finding, setFinding] = useState(false)
  const [helping, setHelping] = useState(false)
  const { data } = useQuery('today')
  const navigate = useNavigate()
  useEffect(() => {
    const ids = data?.rows.map(({ horse }) => horse.id) ?? []
    // Two keys in a row: the second must see where the first one led, drawn or not.
    const here = (): string => window.location.pathname
    const walk = (by: number): void => {
      const at = ids.indexOf(horseIn(here()) ?? ids[0] ?? '')
      const next = ids[(at + by + ids.length) % ids.length]
      if (next) void navigate(pathForHorse(here(), next))
    }
    const toPart = (part: string): void => {
      const horse = horseIn(here()) ?? ids[0]
      void navigate(['before', 'pen', 'after'].includes(part) && horse ? `/${part}/${horse}` : `/${part}`)
    }
    const press = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault()
        setFinding(true)
        return
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || event.repeat) return
      const key = event.key.toLowerCase()
      if (key === '/') {
        event.preventDefault()
        setFinding(true)
      } else if (key === '?') setHelping(true)
      else if (key === '[') walk(-1)
      else if (key === ']') walk(1)
      else if (key in PART_KEYS && !inPen) toPart(PART_KEYS[key]!)
    }
    const help = (): void => setHelping(true)
    window.addEventListener('keydown', press)
    window.addEventListener(HELP_WANTED, help)
    return () => {
      window.removeEventListener('keydown', press)
      window.removeEventListener(HELP_WANTED, help)
    }
  }, [data, inPen, navigate])
  return {
    finding,
    helping,
    find: () => setFinding(true),
    help: () => setHelping(true),
    stopFinding: () => setFinding(false),
    stopHelping: () => setHelping(false),
  }
}

import { useEffect } from 'react'
import { useMatches } from 'react-router'
import { useQuery } from './client'

/** What the browser's tab and its history call this page: "Pen · Snipe · Still Pine". */
export const usePageTitle = (): void => {
  const { handle, params } = useMatches().at(-1) ?? {}
  const { data: today } = useQuery('today')
  const { data: me } = useQuery('me')
  const horse = today?.rows.find(({ horse }) => horse.id === params?.horseId)?.horse
  const title = [handle as string | undefined, horse?.name, me?.yard.name ?? 'Still Pine']
    .filter(Boolean)
    .join(' · ')
  useEffect(() => {
    document.title = title
  }, [title])
}

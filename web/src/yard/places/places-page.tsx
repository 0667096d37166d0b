import { mayDo } from '@still-pine/contract/rights'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { YardHeader } from '../yard-header'
import { Places } from './places'

/** Pens and tracks, on a page of their own. */
const PlacesPage = () => {
  const { data: me, error, refetch } = useQuery('me')
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title="Places" />
      <div className="max-w-2xl">
        <Places mayEdit={mayDo(me.person.role, 'edit-places')} />
      </div>
    </main>
  )
}

export default PlacesPage

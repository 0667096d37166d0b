import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { mondayOf } from '../words'
import { Horses } from './horses'
import { People } from './people'
import { PlaceHours } from './places'
import { Rules } from './rules'
import { Wishes } from './wishes'

/** What every week is planned from. */
const FromPage = () => {
  const { data: me } = useQuery('me')
  const { data, error, refetch } = useQuery(
    'plannedWeek',
    { firstDay: me ? mondayOf(me.today) : '' },
    { skip: !me },
  )
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-3xl">What a week is planned from</h1>
        <Link className="inline-flex min-h-11 items-center font-bold underline" to="/week">
          To the week
        </Link>
      </div>
      <div className="grid gap-8 desk:grid-cols-2">
        <People week={data} />
        <Horses week={data} />
        <PlaceHours week={data} />
        <Wishes week={data} />
        <Rules week={data} />
      </div>
    </main>
  )
}

export default FromPage

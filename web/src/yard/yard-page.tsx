import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { DueList } from './due-list'
import { Horses } from './horses'
import { WeekList } from './week-list'
import { YardHeader } from './yard-header'

/** The horses of the yard to work from, and what is due of any of them. */
const YardPage = () => {
  const { data: me, error, refetch } = useQuery('me')
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title={me.yard.name} />
      <div className="grid gap-x-10 gap-y-8 desk:grid-cols-[minmax(0,1fr)_24rem]">
        <Horses person={me.person} />
        <div>
          <WeekList today={me.today} />
          <DueList />
        </div>
      </div>
    </main>
  )
}

export default YardPage

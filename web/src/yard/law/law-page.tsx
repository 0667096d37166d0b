import { entriesOf } from '@still-pine/contract/entries-of'
import { useQuery } from '../../app/client'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { LAW_WORDS, lawWords } from '../../shared/law-words'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { longDay } from '../../shared/words'
import { YardHeader } from '../yard-header'

const fieldsOn = (today: string): readonly EntryField[] => [
  { name: 'about', label: 'About', as: Object.entries(LAW_WORDS) },
  { name: 'months', label: 'Not before, months', hint: 'where it is about an age', as: 'number' },
  { name: 'says', label: 'What it asks' },
  { name: 'source', label: 'Where it stands', hint: 'the act, the rule book, its paragraph' },
  { name: 'on', label: 'Looked up on', as: 'day', start: today },
]

const Laws = ({ horseId, today }: { horseId: string; today: string }) => {
  const { entries, error, retry, ...book } = useEntries(horseId)
  if (!entries) return <Loading error={error} retry={retry} />
  return (
    <EntryList
      kind="law"
      book={book}
      today={today}
      title="What is asked"
      one="rule"
      empty="Nothing entered. Our own least ages and cautions stand meanwhile; local law comes first, and only you know it."
      items={entriesOf(entries, 'law')}
      name={({ about }) => LAW_WORDS[about]}
      words={(law) => `${lawWords(law)}; looked up on ${longDay(law.on)}`}
      fields={fieldsOn(today)}
      read={(values) => ({ ...values, ofYard: true })}
      submit="Keep this rule"
    />
  )
}

/** What the yard’s country or body asks, entered with source and day; it makes our own rules stricter, never looser. */
const LawPage = () => {
  const { data: today, error, refetch } = useQuery('today')
  const { data: me } = useQuery('me')
  if (!today || !me) return <Loading error={error} retry={() => void refetch()} />
  // What holds for the whole yard is written at one of its horses, and read with all.
  const [first] = today.rows
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title="Law" />
      <p className="max-w-prose text-lg">
        Ages, helmets, minors, welfare, transport: what your country or your body asks. A least age stands
        with every permit and gate, where it is later than ours; the rest is shown where it applies.
      </p>
      <div className="max-w-prose">
        {first ? (
          <Laws horseId={first.horse.id} today={me.today} />
        ) : (
          <p>Add a horse first: rules are kept with the horses they hold for.</p>
        )}
      </div>
    </main>
  )
}

export default LawPage

import type { Entry } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { riderShare } from '@still-pine/core/body'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import type { Entries } from '../../shared/use-entries'

type Rider = EntryOf<'rider'>

const FIELDS: readonly EntryField[] = [
  { name: 'who', label: 'Who' },
  { name: 'kg', label: 'Rider, kg', hint: 'dressed to ride, with helmet and boots', as: 'number' },
  { name: 'tackKg', label: 'Saddle and all, kg', as: 'number' },
]

interface Bearing {
  readonly horseKg: number
  readonly conditionScore: number | null
  readonly rides: number
}

const SAYS = { stop: 'too heavy for it', near: 'just within what it may bear', ok: 'light enough' } as const

const riderWords = ({ kg, tackKg, note }: Rider, bears: Bearing | null): string => {
  const weights = `${kg} kg and ${tackKg} kg of tack`
  if (!bears) return [weights, note].filter(Boolean).join('; ')
  const { share, says } = riderShare({ riderKg: kg, tackKg, rideNumber: bears.rides + 1, ...bears })
  return `${weights}: ${(100 * share).toFixed(1)} %, ${SAYS[says]}`
}

interface Props extends Pick<Entries, 'put' | 'strike'> {
  readonly entries: readonly Entry[]
  readonly today: string
  /** What it may bear, where it is weighed. */
  readonly bears: Bearing | null
}

/** Powell et al. 2008, from memory; stated as it is, with what it does not say. */
const WHERE_FROM =
  'The 20 % come from eight grown horses that carried 15, 20, 25 and 30 % of their weight: above 20 they worked harder and were sore after (Powell et al. 2008). It proves nothing for young ones; 15 % in the first thirty rides is our own caution.'

/** Who rides it and how heavy they are: the scale then says what somebody would have to confirm. */
export const Riders = ({ entries, today, bears, ...book }: Props) => (
  <>
    <EntryList
      kind="rider"
      book={book}
      today={today}
      title="Riders"
      one="rider"
      empty="Nobody yet. With rider, saddle and horse weighed nobody has to say that they fit."
      items={entriesOf(entries, 'rider').toReversed()}
      name={({ who }) => who || 'Rider'}
      words={(rider) => riderWords(rider, bears)}
      fields={FIELDS}
      submit="Keep this rider"
    />
    <p className="text-quiet">{WHERE_FROM}</p>
  </>
)

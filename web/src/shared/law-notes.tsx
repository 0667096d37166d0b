import { entriesOf } from '@still-pine/contract/entries-of'
import { LAW_WORDS, lawWords, type Law } from './law-words'
import { useEntries } from './use-entries'

/** What the yard’s law or body asks of this, where somebody entered it. */
export const LawNotes = ({ horseId, about }: { horseId: string; about: readonly Law['about'][] }) => {
  const { entries = [] } = useEntries(horseId)
  const laws = entriesOf(entries, 'law').filter((law) => about.includes(law.about))
  if (laws.length === 0) return null
  return (
    <section aria-label="Law" className="max-w-prose border-l-4 border-ink bg-panel px-3 py-2">
      <ul>
        {laws.map((law) => (
          <li key={law.id}>
            <b>{LAW_WORDS[law.about]}:</b> {lawWords(law)}
          </li>
        ))}
      </ul>
    </section>
  )
}

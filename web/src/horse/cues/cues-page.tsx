import { entriesOf } from '@still-pine/contract/entries-of'
import { sameCue } from '@still-pine/core/cues'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { cueWords, findingsIn } from '../../shared/cue-words'
import { cueFields } from './cue-fields'

const TOOL_FIELDS: readonly EntryField[] = [
  { name: 'tool', label: 'Tool', hint: 'flag, stick, rope' },
  {
    name: 'tellApart',
    label: 'What tells the one from the other',
    hint: 'body turned away, tool still; with commas between',
    as: 'list',
  },
  { name: 'drives', label: 'It drives the horse', as: 'tick', start: true },
  { name: 'accepted', label: 'The horse is to bear it', as: 'tick' },
]

/** One signal, one meaning: the cues of a horse and its yard, and what in them a horse cannot tell apart. */
const CuesPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { entries, error: failed, retry: again, ...book } = useEntries(horseId)
  if (!line || !program || !entries) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const findings = findingsIn(entries)
  const cues = entriesOf(entries, 'cue').toSorted((a, b) => a.meaning.localeCompare(b.meaning))
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <p className="hidden print:block">
        Cue book of {horse.name}, {longDay(day)}. One signal, one meaning.
      </p>
      {findings.length > 0 && (
        <section
          aria-label="What to look at"
          className="max-w-prose border-l-8 border-stop bg-panel px-3 py-2"
        >
          <ul className="flex flex-col gap-1 text-lg">
            {findings.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </section>
      )}
      {findings.length === 0 && cues.length > 0 && (
        <p role="status" className="text-lg">
          One signal, one meaning: nothing here is said twice or means two things.
        </p>
      )}
      <div className="grid gap-8 desk:grid-cols-2">
        <EntryList
          kind="cue"
          book={book}
          today={day}
          title="Cues"
          one="cue"
          empty="None yet. Write down how it is asked, so that the next person asks the same way."
          items={cues}
          name={({ meaning }) => meaning}
          words={cueWords}
          fields={cueFields(program)}
          faultsIn={(entry, told) =>
            cues.some((cue) => cue.id !== told?.id && sameCue(cue, { ...entry, id: '' }))
              ? { meaning: 'This cue stands in the book already.' }
              : {}
          }
          submit="Keep this cue"
        />
        <EntryList
          kind="tool"
          book={book}
          today={day}
          title="Tools"
          one="tool"
          empty="None yet. A flag that drives and is to be borne needs something that tells the one from the other."
          items={entriesOf(entries, 'tool')}
          name={({ tool }) => tool}
          words={({ drives, accepted, tellApart }) =>
            [drives ? 'drives' : '', accepted ? 'is borne' : '', tellApart.join(', ')]
              .filter(Boolean)
              .join('; ')
          }
          fields={TOOL_FIELDS}
          submit="Keep this tool"
        />
      </div>
      {cues.length > 0 && (
        <Button className="no-print self-start phone:hidden" onClick={() => window.print()}>
          Print for the next rider
        </Button>
      )}
    </main>
  )
}

export default CuesPage

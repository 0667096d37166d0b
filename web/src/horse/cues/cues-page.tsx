import { entriesOf } from '@still-pine/contract/entries-of'
import { EditList } from '../../shared/edit-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { CueForm } from './cue-form'
import { cueWords, findingsIn } from '../../shared/cue-words'
import { ToolForm } from './tool-form'

/** One signal, one meaning: the cues of a horse and its yard, and what in them a horse cannot tell apart. */
const CuesPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { entries, error: failed, retry: again, put, strike } = useEntries(horseId)
  const mayLog = useMay('log-answers')
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
        <EditList
          title="Cues"
          one="cue"
          empty="None yet. Write down how it is asked, so that the next person asks the same way."
          items={cues}
          mayEdit={mayLog}
          name={({ meaning }) => meaning}
          words={cueWords}
          actions={(cue) => <StrikeButton entry={cue} strike={strike} />}
          form={(told, close) => (
            <CueForm
              today={day}
              program={program}
              told={told}
              others={cues.filter(({ id }) => id !== told?.id)}
              onPut={(entry) => {
                void put(entry, told?.id)
                close()
              }}
            />
          )}
        />
        <EditList
          title="Tools"
          one="tool"
          empty="None yet. A flag that drives and is to be borne needs something that tells the one from the other."
          items={entriesOf(entries, 'tool')}
          mayEdit={mayLog}
          name={({ tool }) => tool}
          words={({ drives, accepted, tellApart }) =>
            [drives ? 'drives' : '', accepted ? 'is borne' : '', tellApart.join(', ')]
              .filter(Boolean)
              .join('; ')
          }
          actions={(tool) => <StrikeButton entry={tool} strike={strike} />}
          form={(told, close) => (
            <ToolForm
              today={day}
              told={told}
              onPut={(entry) => {
                void put(entry, told?.id)
                close()
              }}
            />
          )}
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

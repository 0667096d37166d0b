import { useMatches } from 'react-router'
import { Fold } from '../ui/fold'
import { Sheet } from '../ui/sheet'
import { PAGE_HELP } from './help-pages'
import { TERMS } from './help-words'

const EVERYWHERE = [
  ['[  ]', 'the horse before, the next horse'],
  ['B P A W Y', 'Before, Pen, After, Week, Yard'],
  ['/  or  Ctrl K', 'find a horse or a step'],
  ['?', 'this help'],
] as const

const PEN = [
  ['Space', 'ask, then answered; start, then settled or done'],
  ['N', 'no answer; worse; a correction'],
  ['L  W  T', 'loose, watchful, tight'],
  ['1 – 5', 'correct the grade: on the thought … no answer'],
  ['U', 'undo, or drop the ask that runs'],
  ['S', 'other side'],
  ['↑  ↓', 'a rung bigger, a rung smaller'],
  ['C', 'by chance'],
  ['F', 'what went wrong'],
] as const

const Keys = ({ title, keys }: { title: string; keys: readonly (readonly [string, string])[] }) => (
  <section className="mb-4 phone:hidden">
    <h3 className="mb-2">{title}</h3>
    <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
      {keys.map(([key, words]) => (
        <div key={key} className="contents">
          <dt className="font-bold">{key}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  </section>
)

const Terms = ({ terms }: { terms: typeof TERMS }) => (
  <dl className="flex flex-col gap-2">
    {terms.map(([term, meaning]) => (
      <div key={term}>
        <dt className="font-bold">{term}</dt>
        <dd>{meaning}</dd>
      </div>
    ))}
  </dl>
)

const EMPTY_HELP = { what: '', terms: [] } as const

/** What this screen is for, its words and its keys; then all words. */
export const KeysHelp = ({ isPen, onClose }: { isPen: boolean; onClose: () => void }) => {
  const page = useMatches().at(-1)?.handle as string | undefined
  const { what, terms } = PAGE_HELP[page ?? ''] ?? EMPTY_HELP
  const here = TERMS.filter(([term]) => terms.includes(term))
  const others = TERMS.filter(([term]) => !terms.includes(term))
  return (
    <Sheet open title={page === undefined ? 'Help' : `Help: ${page}`} onClose={onClose}>
      {what && <p className="mb-4 max-w-prose text-lg">{what}</p>}
      {here.length > 0 && (
        <section className="mb-4">
          <h3 className="mb-2">Words on this page</h3>
          <Terms terms={here} />
        </section>
      )}
      {isPen && <Keys title="In the pen" keys={PEN} />}
      <Keys title="Everywhere" keys={EVERYWHERE} />
      <Fold title={here.length > 0 ? 'All other words' : 'Words'} isOpen={here.length === 0}>
        <Terms terms={others} />
      </Fold>
    </Sheet>
  )
}

export default KeysHelp

import { Sheet } from '../ui/sheet'
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

const Terms = () => (
  <section>
    <h3 className="mb-2">Words</h3>
    <dl className="flex flex-col gap-2">
      {TERMS.map(([term, meaning]) => (
        <div key={term}>
          <dt className="font-bold">{term}</dt>
          <dd>{meaning}</dd>
        </div>
      ))}
    </dl>
  </section>
)

/** The keys of this screen, and the product's words. */
export const KeysHelp = ({ isPen, onClose }: { isPen: boolean; onClose: () => void }) => (
  <Sheet open title="Help" onClose={onClose}>
    {isPen && <Keys title="In the pen" keys={PEN} />}
    <Keys title="Everywhere" keys={EVERYWHERE} />
    <Terms />
  </Sheet>
)

export default KeysHelp

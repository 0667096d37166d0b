import { markOf, type Step } from '@still-pine/core/program'
import { useState } from 'react'
import { Button } from '../../../ui/button'
import { INPUT } from '../../../ui/field'
import { SortableList, SortableRow } from '../../../ui/sortable'
import type { SchoolDraft } from './use-draft'

const Rung = ({ step, rung, draft }: { step: Step; rung: number; draft: SchoolDraft }) => {
  const words = step.rungs[rung - 1]!
  const [text, setText] = useState(words)
  const isRequired = rung === step.requiredRung
  const keep = (): void => {
    if (text.trim() && text.trim() !== words)
      draft.make({ do: 'word-rung', step: step.key, rung, words: text.trim() })
    else setText(words)
  }
  return (
    <SortableRow id={String(markOf(step, rung))} name={`rung ${rung}, ${words}`} className="py-1">
      <span className="w-6 text-right font-bold tabular-nums">{rung}</span>
      <input
        className={`${INPUT} grow`}
        aria-label={`Words of rung ${rung}`}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={keep}
      />
      <label className="flex min-h-11 shrink-0 items-center gap-1 px-1">
        <input
          type="radio"
          className="size-5"
          name={`required-${step.key}`}
          checked={isRequired}
          onChange={() => draft.make({ do: 'require-rung', step: step.key, rung })}
        />
        <span className={isRequired ? 'font-bold' : 'text-quiet'}>required</span>
      </label>
      <Button
        look="quiet"
        className="shrink-0 whitespace-nowrap"
        aria-label={`Take out rung ${rung}, ${words}`}
        onClick={() => draft.make({ do: 'remove-rung', step: step.key, rung })}
      >
        Take out
      </Button>
    </SortableRow>
  )
}

const NewRung = ({ step, draft }: { step: Step; draft: SchoolDraft }) => {
  const [words, setWords] = useState('')
  const add = (): void => {
    const rung = step.rungs.length + 1
    if (words.trim() && draft.make({ do: 'add-rung', step: step.key, rung, words: words.trim() }))
      setWords('')
  }
  return (
    <form
      className="flex items-end gap-2 pl-15"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      <input
        className={INPUT}
        aria-label="Words of a new rung"
        placeholder="A new rung, harder than the last; drag it to its place"
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      <Button type="submit">Add</Button>
    </form>
  )
}

/** The ladder of a step, easiest rung first. */
export const RungList = ({ step, draft }: { step: Step; draft: SchoolDraft }) => (
  <section>
    <h3 className="text-xl">Rungs, easiest first</h3>
    <SortableList
      ids={step.rungs.map((_, i) => String(markOf(step, i + 1)))}
      onMove={(from, to) => draft.make({ do: 'move-rung', step: step.key, from: from + 1, to: to + 1 })}
      label="Rungs"
    >
      {step.rungs.map((words, i) => (
        <Rung key={`${markOf(step, i + 1)} ${words}`} step={step} rung={i + 1} draft={draft} />
      ))}
    </SortableList>
    <NewRung step={step} draft={draft} />
  </section>
)

import { zodResolver } from '@hookform/resolvers/zod'
import { markOf, type Step } from '@still-pine/core/program'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { Button } from '../../../ui/button'
import { INPUT } from '../../../ui/field'
import { SortableList, SortableRow } from '../../../ui/sortable'
import type { SchoolDraft } from './use-draft'

const Words = z.object({ words: z.string().trim().min(1) })

const Rung = ({ step, rung, draft }: { step: Step; rung: number; draft: SchoolDraft }) => {
  const words = step.rungs[rung - 1]!
  const { register, handleSubmit, reset } = useForm({
    resolver: zodResolver(Words),
    defaultValues: { words },
  })
  const isRequired = rung === step.requiredRung
  const reword = handleSubmit(
    (told) => {
      if (told.words === words || !draft.make({ do: 'word-rung', step: step.key, rung, ...told })) reset()
    },
    () => reset(),
  )
  return (
    <SortableRow id={String(markOf(step, rung))} name={`rung ${rung}, ${words}`} className="py-1">
      <span className="w-6 text-right font-bold tabular-nums">{rung}</span>
      <input
        className={`${INPUT} grow`}
        aria-label={`Words of rung ${rung}`}
        {...register('words', { onBlur: () => void reword() })}
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
        aria-label={`Remove rung ${rung}, ${words}`}
        onClick={() => draft.make({ do: 'remove-rung', step: step.key, rung })}
      >
        Remove
      </Button>
    </SortableRow>
  )
}

const NewRung = ({ step, draft }: { step: Step; draft: SchoolDraft }) => {
  const { register, handleSubmit, reset } = useForm({
    resolver: zodResolver(Words),
    defaultValues: { words: '' },
  })
  const add = handleSubmit(({ words }) => {
    if (draft.make({ do: 'add-rung', step: step.key, rung: step.rungs.length + 1, words })) reset()
  })
  return (
    <form className="flex items-end gap-2 pl-15" onSubmit={(event) => void add(event)}>
      <input
        className={INPUT}
        aria-label="Words of a new rung"
        placeholder="A new rung, harder than the last; drag it to its place"
        {...register('words')}
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

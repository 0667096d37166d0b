import { zodResolver } from '@hookform/resolvers/zod'
import { dataOfOwn, STAGES, type Step } from '@still-pine/core/program'
import { stepsLeftOut } from '@still-pine/core/school-edit'
import type { Kind } from '@still-pine/core/answer'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { Button } from '../../../ui/button'
import { ChoiceField, LinesField, TextField } from '../../../ui/inputs'
import { Sheet } from '../../../ui/sheet'
import type { SchoolDraft } from './use-draft'

const KINDS: readonly [Kind, string][] = [
  ['ask', 'an ask: it does something'],
  ['accept', 'an accept: it lets something be'],
  ['hold', 'a hold: it keeps something up'],
]

/** A key for a step of one’s own, that no step that ships can ever have. */
const keyFrom = (name: string, taken: readonly string[]): string => {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
  const key = `own-${plain || 'step'}`.slice(0, 50)
  return taken.includes(key) ? keyFrom(`${plain}-2`, taken) : key
}

const linesOf = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)

const Told = z.object({
  name: z.string().trim().min(1),
  kind: z.enum(['ask', 'accept', 'hold']),
  stage: z.coerce.number<number>().int().min(1).max(STAGES.length),
  rungs: z.string().refine((text) => linesOf(text).length > 0),
})

const ownStep = ({ name, kind, stage, rungs }: z.output<typeof Told>, taken: readonly string[]): Step => {
  const lines = linesOf(rungs)
  return {
    key: keyFrom(name, taken),
    name,
    stage,
    kind,
    sided: true,
    allRound: false,
    rungs: lines,
    rungCount: lines.length,
    requiredRung: lines.length,
    needs: [],
    roles: [],
    ...dataOfOwn({ stage, kind }),
    does: lines.map(() => ({})),
  }
}

const OwnStep = ({ draft, onAdd }: { draft: SchoolDraft; onAdd: (step: Step) => void }) => {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(Told),
    mode: 'onChange',
    defaultValues: { name: '', kind: 'ask' as const, stage: 1, rungs: '' },
  })
  const add = handleSubmit((told) =>
    onAdd(
      ownStep(
        told,
        draft.program.steps.map(({ key }) => key),
      ),
    ),
  )
  return (
    <form className="flex flex-col gap-3" onSubmit={(event) => void add(event)}>
      <h3 className="text-xl">One of your own</h3>
      <TextField label="Name" {...register('name')} />
      <div className="grid gap-3 desk:grid-cols-2">
        <ChoiceField label="What it is" words={KINDS} {...register('kind')} />
        <ChoiceField
          label="Stage"
          words={STAGES.map((words, i) => [String(i + 1), words] as const)}
          {...register('stage')}
        />
      </div>
      <LinesField label="Its rungs, easiest first, one a line" {...register('rungs')} />
      <Button look="act" type="submit" disabled={!formState.isValid}>
        Put it on the path
      </Button>
    </form>
  )
}

/** Puts a step on the path: one that ships and was left out, or one of the yard’s own. */
export const AddStep = ({ draft, onAdded }: { draft: SchoolDraft; onAdded: (step: string) => void }) => {
  const [isOpen, setOpen] = useState(false)
  const add = (step: Step): void => {
    if (!draft.make({ do: 'add-step', step, before: null })) return
    setOpen(false)
    onAdded(step.key)
  }
  const out = stepsLeftOut(draft.program)
  return (
    <>
      <Button onClick={() => setOpen(true)}>Put a step on the path</Button>
      <Sheet open={isOpen} title="A step for the path" onClose={() => setOpen(false)}>
        <div className="flex flex-col gap-5">
          {out.length > 0 && (
            <section>
              <h3 className="text-xl">Left out so far</h3>
              <div className="mt-2 flex flex-wrap gap-2">
                {out.map((step) => (
                  <Button key={step.key} onClick={() => add({ ...step, needs: [] })}>
                    {step.name}
                  </Button>
                ))}
              </div>
            </section>
          )}
          <OwnStep draft={draft} onAdd={add} />
        </div>
      </Sheet>
    </>
  )
}

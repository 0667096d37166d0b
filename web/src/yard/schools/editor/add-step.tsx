import { dataOfOwn, STAGES, type Step } from '@still-pine/core/program'
import { stepsLeftOut } from '@still-pine/core/school-edit'
import type { Kind } from '@still-pine/core/answer'
import { useState } from 'react'
import { Picker } from '../../../shared/pickers'
import { Button } from '../../../ui/button'
import { Field, INPUT } from '../../../ui/field'
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

const OwnStep = ({ draft, onAdd }: { draft: SchoolDraft; onAdd: (step: Step) => void }) => {
  const [name, setName] = useState('')
  const [kind, setKind] = useState<Kind>('ask')
  const [stage, setStage] = useState(1)
  const [rungs, setRungs] = useState('')
  const lines = rungs
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
  const add = (): void =>
    onAdd({
      key: keyFrom(
        name,
        draft.program.steps.map(({ key }) => key),
      ),
      name: name.trim(),
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
    })
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      <h3 className="text-xl">One of your own</h3>
      <Field label="Name">
        {(props) => (
          <input className={INPUT} value={name} onChange={(e) => setName(e.target.value)} {...props} />
        )}
      </Field>
      <div className="flex flex-wrap gap-3">
        <Picker label="What it is" value={kind} onPick={(value) => setKind(value as Kind)}>
          {KINDS.map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Picker>
        <Picker label="Stage" value={stage} onPick={(value) => setStage(Number(value))}>
          {STAGES.map((words, i) => (
            <option key={words} value={i + 1}>
              {words}
            </option>
          ))}
        </Picker>
      </div>
      <Field label="Its rungs, easiest first, one a line">
        {(props) => (
          <textarea
            className={INPUT}
            rows={4}
            value={rungs}
            onChange={(e) => setRungs(e.target.value)}
            {...props}
          />
        )}
      </Field>
      <Button look="act" type="submit" disabled={!name.trim() || lines.length === 0}>
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

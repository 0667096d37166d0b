import { STAGES, type Step } from '@still-pine/core/program'
import { SortableList, SortableRow } from '../../../ui/sortable'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly draft: SchoolDraft
  readonly chosen: string | undefined
  readonly onChoose: (step: string) => void
}

const isChanged = (step: Step, { base }: SchoolDraft): boolean => {
  const before = base.steps.find(({ key }) => key === step.key)
  return JSON.stringify(before) !== JSON.stringify(step)
}

/** The chosen step is in sight, also where its address was opened. */
const intoView = (row: HTMLButtonElement | null): void => row?.scrollIntoView({ block: 'nearest' })

const Stage = ({
  stage,
  steps,
  draft,
  chosen,
  onChoose,
}: Props & { stage: string; steps: readonly Step[] }) => {
  const move = (from: number, to: number): void => {
    const others = steps.filter((_, i) => i !== from)
    draft.make({ do: 'move-step', step: steps[from]!.key, before: others[to]?.key ?? null })
  }
  return (
    <section>
      <h3 className="mt-3 font-name text-lg text-quiet">{stage}</h3>
      <SortableList ids={steps.map(({ key }) => key)} onMove={move} label={stage}>
        {steps.map((step) => (
          <SortableRow key={step.key} id={step.key} name={step.name} className="border-t border-line">
            <button
              type="button"
              aria-pressed={step.key === chosen}
              ref={step.key === chosen ? intoView : undefined}
              onClick={() => onChoose(step.key)}
              className={`min-h-11 grow px-2 text-left ${step.key === chosen ? 'bg-ink text-ground' : ''}`}
            >
              {step.name}
              {isChanged(step, draft) && <span className="ml-2 font-bold">changed</span>}
            </button>
          </SortableRow>
        ))}
      </SortableList>
    </section>
  )
}

/** The path, stage by stage, in the school’s own order. */
export const StepList = (props: Props) => {
  const { steps } = props.draft.program
  return (
    <div>
      <h2 className="sr-only">The path</h2>
      {STAGES.map((stage, i) => {
        const ofStage = steps.filter((step) => step.stage === i + 1)
        return ofStage.length > 0 ? <Stage key={stage} stage={stage} steps={ofStage} {...props} /> : null
      })}
    </div>
  )
}

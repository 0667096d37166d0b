import { needsApart, needWords } from '@still-pine/core/school-edit'
import { stepOf, stepsMeeting } from '@still-pine/core/program'
import { NeedsGraph } from '../../../drawing/needs/needs-graph'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly draft: SchoolDraft
  readonly chosen: string | undefined
  readonly onChoose: (step: string) => void
}

const list = (names: readonly string[], none: string): string => (names.length > 0 ? names.join(', ') : none)

/** What the chosen step needs, what it opens, and what the change did to it; in words. */
const About = ({ draft, chosen }: Pick<Props, 'draft'> & { chosen: string }) => {
  const { program, base } = draft
  const step = stepOf(program, chosen)
  if (!step) return null
  const opens = program.steps.filter(({ needs }) =>
    needs.some((need) => stepsMeeting(program, need).some(({ key }) => key === chosen)),
  )
  const { come, gone } = needsApart(base, program, {
    before: stepOf(base, chosen)?.needs ?? [],
    after: step.needs,
  })
  return (
    <p className="text-lg">
      <b>{step.name}</b> needs{' '}
      {list(
        step.needs.map((need) => needWords(program, need)),
        'nothing',
      )}
      . It opens{' '}
      {list(
        opens.map(({ name }) => name),
        'nothing further',
      )}
      .
      {come.length > 0 && (
        <b>
          {' '}
          New:{' '}
          {list(
            come.map((need) => needWords(program, need)),
            '',
          )}
          .
        </b>
      )}
      {gone.length > 0 && (
        <b>
          {' '}
          Gone:{' '}
          {list(
            gone.map((need) => needWords(base, need)),
            '',
          )}
          .
        </b>
      )}
    </p>
  )
}

/** The path as a graph: what stands on what, and what the change opens or closes. */
export const NeedsPart = ({ draft, chosen, onChoose }: Props) => (
  <section className="flex flex-col gap-3">
    {chosen ? (
      <About draft={draft} chosen={chosen} />
    ) : (
      <p className="text-lg">Tap a step: what it stands on is drawn in green, what it opens in blue.</p>
    )}
    <p className="text-quiet">Thick amber: a need the change brought. Broken brown: one it took away.</p>
    <NeedsGraph base={draft.base} program={draft.program} chosen={chosen} onChoose={onChoose} />
  </section>
)

import { PaceEditor } from '../../../drawing/pace-editor'
import type { SchoolDraft } from './use-draft'

/** The seconds of an ask’s phases, moved on the arc that the Pen shows. */
export const PacePart = ({ draft }: { draft: SchoolDraft }) => {
  const { pace } = draft.program
  const words = pace.limits.map((limit, i) => `${pace.phases[i]} to ${limit} s`).join(', ')
  return (
    <section className="flex max-w-3xl flex-col gap-3">
      <p className="text-xl font-bold">{words}.</p>
      <p className="text-quiet">
        Drag a border on the arc, or move it with the arrow keys; a tenth of a second a press, half a second
        with Shift.
      </p>
      <PaceEditor pace={pace} onMove={(border, seconds) => draft.make({ do: 'pace', border, seconds })} />
    </section>
  )
}

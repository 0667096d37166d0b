import { gradeWord, type Calm, type Grade } from '@still-pine/core/answer'
import { ZONES } from '@still-pine/core/coverage'
import { markOf, rungName } from '@still-pine/core/program'
import { useAppDispatch } from '../../app/store'
import { PLAIN_ANSWER } from '@still-pine/device'
import { saveAnswer, noteCalm, undoLast } from '../log'
import { aimed, stoodAt } from '../pen-slice'
import type { PenView } from '../use-pen'
import { Button } from '../../ui/button'
import { whereWords } from './shown'

const GRADES: readonly Grade[] = [0, 1, 2, 3, 4]
const CALMS: readonly (readonly [Calm, string])[] = [
  [0, 'Loose'],
  [1, 'Watchful'],
  [2, 'Tight'],
]

/** What it did there, in one tap, and how loose it was in another. */
export const LogSpot = ({ view, personId }: { view: PenView; personId: string }) => {
  const dispatch = useAppDispatch()
  const { pen, step } = view
  const { side, rung } = pen.aim
  const last = view.answers.at(-1)
  const keep = (grade: Grade): void =>
    void dispatch(
      saveAnswer(
        personId,
        { ...PLAIN_ANSWER, step: step.key, side, rung: markOf(step, rung), grade, calm: null, ...pen.stand },
        true,
      ),
    ).catch(() => undefined)
  const toRung = (to: number): void =>
    void dispatch(
      aimed({ aim: { ...pen.aim, rung: Math.min(step.rungs.length, Math.max(1, to)) }, now: Date.now() }),
    )
  const where = whereWords(pen.stand.zone && ZONES[pen.stand.zone], pen.stand.place, side)
  return (
    <section className="flex flex-col gap-2 border-t-4 border-ink bg-panel p-3" aria-label="Log it">
      <p className="text-xl">
        <b>{step.name}</b>, {where || 'tap where, and from where'}
      </p>
      <div className="grid grid-cols-[auto_1fr_auto] items-center gap-2">
        <Button
          className="min-h-14"
          aria-label="A rung smaller"
          disabled={rung <= 1}
          onClick={() => toRung(rung - 1)}
        >
          −
        </Button>
        <span className="text-center text-lg font-bold">
          {rung}: {rungName(step, rung)}
        </span>
        <Button
          className="min-h-14"
          aria-label="A rung bigger"
          disabled={rung >= step.rungs.length}
          onClick={() => toRung(rung + 1)}
        >
          +
        </Button>
      </div>
      <Button
        className={`min-h-14 ${pen.stand.moving ? 'bg-ink! text-ground!' : ''}`}
        aria-pressed={pen.stand.moving}
        onClick={() => dispatch(stoodAt({ ...pen.stand, moving: !pen.stand.moving }))}
      >
        It was moving
      </Button>
      <div className="grid grid-cols-2 gap-2" role="group" aria-label="What it did">
        {GRADES.map((grade) => (
          <Button
            key={grade}
            className={`min-h-16 text-lg ${grade === 4 ? 'col-span-2' : ''}`}
            disabled={where === ''}
            onClick={() => keep(grade)}
          >
            {gradeWord(step.kind, grade)}
          </Button>
        ))}
      </div>
      {last && (
        <div className="grid grid-cols-4 gap-2" role="group" aria-label="How loose it was">
          {CALMS.map(([calm, word]) => (
            <Button
              key={calm}
              className={`min-h-14 px-0! ${last.calm === calm ? 'bg-ink! text-ground!' : ''}`}
              aria-pressed={last.calm === calm}
              onClick={() => void dispatch(noteCalm(personId, calm))}
            >
              {word}
            </Button>
          ))}
          <Button className="min-h-14 px-0!" onClick={() => void dispatch(undoLast(personId))}>
            Undo
          </Button>
        </div>
      )}
    </section>
  )
}

import { gradeWord, SIGN_FAMILIES, SIGNS, type Grade } from '@still-pine/core/answer'
import { cardFor, rungName } from '@still-pine/core/program'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import type { PenActions, PenView } from './use-pen'

interface Props {
  readonly open: boolean
  readonly view: PenView
  readonly actions: PenActions
  readonly next: (() => void) | null
  readonly onClose: () => void
}

const GRADES: readonly Grade[] = [0, 1, 2, 3, 4]

/** The rest of the pen's controls: rung, by chance, faults and a grade to correct. */
export const MoreSheet = ({ open, view, actions, next, onClose }: Props) => {
  const { step, pen } = view
  const last = view.answers.at(-1)
  const done = (act: () => void) => () => {
    act()
    onClose()
  }
  return (
    <Sheet open={open} title={step.name} onClose={onClose}>
      <div className="flex flex-col gap-5">
        <section>
          <h3 className="mb-2">
            Rung {pen.aim.rung}: {rungName(step, pen.aim.rung)}
          </h3>
          <div className="grid grid-cols-2 gap-2">
            <Button
              className="min-h-16"
              hint="↓"
              disabled={pen.aim.rung <= 1}
              onClick={() => actions.moveRung(-1)}
            >
              A rung smaller
            </Button>
            <Button
              className="min-h-16"
              hint="↑"
              disabled={pen.aim.rung >= step.rungs.length}
              onClick={() => actions.moveRung(1)}
            >
              A rung bigger
            </Button>
          </div>
        </section>
        {next && (
          <Button className="min-h-16" onClick={done(next)}>
            Next burst
          </Button>
        )}
        {last && (
          <>
            <section>
              <h3 className="mb-2">The last answer was</h3>
              <div className="grid grid-cols-1 gap-2 desk:grid-cols-2">
                {GRADES.map((grade) => (
                  <Button
                    key={grade}
                    className={`min-h-16 ${last.grade === grade ? 'bg-ink! text-ground!' : ''}`}
                    aria-pressed={last.grade === grade}
                    hint={String(grade + 1)}
                    onClick={done(() => actions.grade(grade))}
                  >
                    {gradeWord(step.kind, grade)}
                  </Button>
                ))}
                <Button
                  className={`min-h-16 ${last.byChance ? 'bg-ink! text-ground!' : ''}`}
                  aria-pressed={last.byChance}
                  hint="C"
                  onClick={done(actions.byChance)}
                >
                  By chance
                </Button>
              </div>
            </section>
            <section>
              <h3 className="mb-2">What was seen</h3>
              {(['ease', 'worry', 'tired'] as const).map((family) => (
                <div key={family} className="mb-3">
                  <h4 className="mb-1 text-quiet">{SIGN_FAMILIES[family]}</h4>
                  <div className="flex flex-wrap gap-2">
                    {SIGNS[family].map((sign) => (
                      <Button
                        key={sign}
                        className={`min-h-16 ${last.sign === sign ? 'bg-ink! text-ground!' : ''}`}
                        aria-pressed={last.sign === sign}
                        onClick={done(() => actions.sign(sign))}
                      >
                        {sign}
                      </Button>
                    ))}
                  </div>
                </div>
              ))}
            </section>
            <section>
              <h3 className="mb-2">What went wrong</h3>
              <ul className="flex flex-col gap-2">
                {cardFor(step.key).faults.map(({ fault, repair }) => (
                  <li key={fault}>
                    <Button
                      className="min-h-16 w-full flex-col items-start! text-left"
                      onClick={done(() => actions.fault(fault))}
                    >
                      {fault}
                    </Button>
                    <p className="mt-1 text-quiet">{repair}</p>
                  </li>
                ))}
              </ul>
            </section>
          </>
        )}
      </div>
    </Sheet>
  )
}

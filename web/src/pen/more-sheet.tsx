import { gradeWord, SIGN_FAMILIES, SIGNS, SLIPS, type Grade } from '@still-pine/core/answer'
import type { Offers, Permit } from '@still-pine/core/permit'
import { rungName } from '@still-pine/core/program'
import { Link } from 'react-router'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import { withDays } from '../shared/words'
import type { Next } from './advice-bar'
import { AddButtons } from '../shared/attachments/add-buttons'
import { PlacePicker } from '../shared/place-picker'
import { StrapPart } from './sensors/strap-part'
import type { PenView } from './use-pen'
import type { PenFaults } from './use-repairs'
import type { PenActions } from './use-pen-actions'
import { askForHelp } from '../app/use-shell-keys'

interface Props {
  readonly view: PenView
  readonly actions: PenActions
  readonly offers: Offers
  /** What is said to the rung above. */
  readonly above: Permit
  readonly next: Next | null
  readonly repairs: PenFaults
  readonly recall: () => void
  readonly onClose: () => void
}

const LINK =
  'inline-flex min-h-16 items-center justify-center rounded-md border-2 border-ink px-4 text-center font-name font-bold'

const GRADES: readonly Grade[] = [0, 1, 2, 3, 4]

/** The rest of the pen's controls: rung, by chance, faults and a grade to correct. */
export const MoreSheet = ({ view, actions, offers, above, next, repairs, recall, onClose }: Props) => {
  const { step, pen } = view
  const { faults, tryRepair } = repairs
  const last = view.answers.at(-1)
  const done = (act: () => void) => () => {
    act()
    onClose()
  }
  return (
    <Sheet open title={step.name} onClose={onClose}>
      <div className="flex flex-col gap-5">
        <section>
          <h3 className="mb-2">
            Rung {pen.aim.rung}: {rungName(step, pen.aim.rung)}
          </h3>
          <div className="grid grid-cols-2 gap-2">
            <Button
              className="min-h-16"
              hint="↓"
              disabled={offers.smaller === null}
              onClick={() => actions.moveRung(-1)}
            >
              A rung smaller
            </Button>
            <Button
              className="min-h-16"
              hint="↑"
              disabled={offers.bigger === null}
              onClick={() => actions.moveRung(1)}
            >
              A rung bigger
            </Button>
          </div>
          {offers.bigger === null && pen.aim.rung < step.rungs.length && (
            <p className="mt-2 text-quiet">
              Rung {pen.aim.rung + 1} is shut today: {withDays(above.because[0]?.words ?? '')}
            </p>
          )}
        </section>
        {!pen.sessionSaved && <PlacePicker />}
        {pen.sessionSaved && (
          <AddButtons record={{ to: 'session', recordId: pen.sessionId, horseId: pen.horseId }} />
        )}
        <div className="grid grid-cols-2 gap-2">
          {next && (
            <Button className="min-h-16" onClick={done(next.go)}>
              {next.words}
            </Button>
          )}
          {step.shows && (
            <Link className={LINK} to={`/horses/${pen.horseId}/from-above?step=${step.key}`}>
              Where on the horse
            </Link>
          )}
          <Link className={LINK} to={`/pen/${pen.horseId}/line`}>
            On the lunge or long lines
          </Link>
          <Link className={LINK} to={`/pen/${pen.horseId}/ride`}>
            On its back
          </Link>
          <Button className="min-h-16" hint="M" onClick={recall}>
            Tap in from memory
          </Button>
          <Button className="min-h-16" hint="?" onClick={askForHelp}>
            Help
          </Button>
        </div>
        <StrapPart />
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
                <Button
                  className={`min-h-16 ${last.uncued ? 'bg-ink! text-ground!' : ''}`}
                  aria-pressed={last.uncued}
                  hint="O"
                  onClick={done(actions.uncued)}
                >
                  Did it unasked
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
              <h3 className="mb-2">My own slip</h3>
              <div className="flex flex-wrap gap-2">
                {SLIPS.map((slip) => (
                  <Button
                    key={slip}
                    className={`min-h-16 ${last.slip === slip ? 'bg-ink! text-ground!' : ''}`}
                    aria-pressed={last.slip === slip}
                    onClick={done(() => actions.slip(slip))}
                  >
                    {slip}
                  </Button>
                ))}
              </div>
            </section>
            <section>
              <h3 className="mb-2">What went wrong</h3>
              <ul className="flex flex-col gap-2">
                {faults.map((one) => (
                  <li key={one.fault}>
                    <Button
                      className="min-h-16 w-full flex-col items-start! text-left"
                      onClick={done(() => actions.fault(one.fault))}
                    >
                      {one.fault}
                    </Button>
                    <div className="mt-1 flex items-center justify-between gap-2">
                      <p className="text-quiet">{one.repair}</p>
                      <Button
                        className="min-h-16 shrink-0"
                        aria-label={`${one.fault}: try this repair`}
                        onClick={done(() => {
                          if (last.fault !== one.fault) actions.fault(one.fault)
                          tryRepair(one)
                        })}
                      >
                        Try this
                      </Button>
                    </div>
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

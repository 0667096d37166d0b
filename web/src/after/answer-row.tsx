import type { KeptAnswer } from '@still-pine/contract'
import { calmWord, gradeWord, type Grade, type Side } from '@still-pine/core/answer'
import { markOf, rungAt, rungName, type Step } from '@still-pine/core/program'
import { useState } from 'react'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'
import { clock } from '../shared/words'
import { mend, takeBack } from './mend'
import { CalmPicker, Picker, RungPicker, SidePicker } from '../shared/pickers'

interface Props {
  readonly answer: KeptAnswer
  readonly step: Step
  readonly personId: string
  readonly mayMend: boolean
}

const Mending = ({ answer, step, personId, close }: Props & { close: () => void }) => {
  const [grade, setGrade] = useState(answer.grade)
  const [calm, setCalm] = useState(answer.calm)
  const [side, setSide] = useState<Side>(answer.side)
  const [rung, setRung] = useState(rungAt(step, answer.rung))
  const [why, setWhy] = useState(answer.why ?? '')
  const save = async (): Promise<void> => {
    const said = why.trim() === '' ? null : why.trim()
    await mend(personId, answer, { grade, calm, side, rung: markOf(step, rung), why: said })
    close()
  }
  return (
    <form
      className="flex flex-wrap items-end gap-3 bg-panel p-3"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      {step.sided && <SidePicker side={side} onPick={setSide} />}
      <RungPicker step={step} rung={rung} onPick={setRung} />
      <Picker label="Grade" value={grade} onPick={(value) => setGrade(Number(value) as Grade)}>
        {([0, 1, 2, 3, 4] as const).map((g) => (
          <option key={g} value={g}>
            {gradeWord(step.kind, g)}
          </option>
        ))}
      </Picker>
      {answer.against && (
        <Field label="Why it was asked" hint={answer.against}>
          {(props) => (
            <input
              className={INPUT}
              maxLength={200}
              value={why}
              onChange={(event) => setWhy(event.target.value)}
              {...props}
            />
          )}
        </Field>
      )}
      <CalmPicker label="Calm" calm={calm} onPick={setCalm} />
      <Button look="act" type="submit">
        Correct
      </Button>
      <Button onClick={() => void takeBack(personId, answer, 'taken back after the session').then(close)}>
        Take it back
      </Button>
      <Button look="quiet" onClick={close}>
        Cancel
      </Button>
    </form>
  )
}

const wordsOf = (answer: KeptAnswer, step: Step): string =>
  [
    answer.side === 'none' ? '' : answer.side,
    rungName(step, rungAt(step, answer.rung)),
    gradeWord(step.kind, answer.grade),
    answer.calm === null ? 'calm not noted' : calmWord(answer.calm),
    answer.seconds === null ? '' : `${answer.seconds} s`,
    answer.byChance ? 'by chance' : '',
    answer.recalled ? 'recalled' : '',
    answer.fault ?? '',
    answer.ahead ? 'the phone’s clock was ahead' : '',
    answer.against ? `against the permit: ${answer.against}` : '',
    answer.why ? `said of it: ${answer.why}` : '',
  ]
    .filter(Boolean)
    .join(', ')

/** One answer; a mended or taken-back one stays, struck through, with who and why. */
export const AnswerRow = (props: Props) => {
  const { answer, step, mayMend } = props
  const [isOpen, setOpen] = useState(false)
  return (
    <li className="border-t border-line py-1">
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <span>
          <span className="text-quiet">{clock(answer.at)}</span>{' '}
          <span className={answer.voided ? 'text-quiet line-through' : ''}>{wordsOf(answer, step)}</span>
          {answer.replaces && !answer.voided && <span className="text-quiet"> (mended)</span>}
          {answer.voided && (
            <span className="text-quiet">
              {' '}
              {answer.voided.reason}, {answer.voided.byName}
            </span>
          )}
        </span>
        {!answer.voided && mayMend && (
          <Button look="quiet" className="no-print" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            Mend
          </Button>
        )}
      </div>
      {isOpen && !answer.voided && <Mending {...props} close={() => setOpen(false)} />}
    </li>
  )
}

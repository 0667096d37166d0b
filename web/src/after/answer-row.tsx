import type { KeptAnswer } from '@still-pine/contract'
import { calmWord, gradeWord, type Calm, type Grade, type Side } from '@still-pine/core/answer'
import { rungName, type Step } from '@still-pine/core/program'
import { useState } from 'react'
import { Button } from '../ui/button'
import { clock } from '../ui/words'
import { mend, takeBack } from './mend'

interface Props {
  readonly answer: KeptAnswer
  readonly step: Step
  readonly personId: string
  readonly mayMend: boolean
}

const SELECT = 'min-h-11 rounded-md border-2 border-ink bg-panel px-2'

const Mending = ({ answer, step, personId, close }: Props & { close: () => void }) => {
  const [grade, setGrade] = useState(answer.grade)
  const [calm, setCalm] = useState(answer.calm)
  const [side, setSide] = useState<Side>(answer.side)
  const [rung, setRung] = useState(answer.rung)
  const save = async (): Promise<void> => {
    await mend(personId, answer, { grade, calm, side, rung })
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
      {step.sided && (
        <label className="flex flex-col">
          Side
          <select className={SELECT} value={side} onChange={(e) => setSide(e.target.value as Side)}>
            <option value="left">left</option>
            <option value="right">right</option>
          </select>
        </label>
      )}
      <label className="flex flex-col">
        Rung
        <select className={SELECT} value={rung} onChange={(e) => setRung(Number(e.target.value))}>
          {step.rungs.map((name, i) => (
            <option key={name} value={i + 1}>
              {i + 1} {name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        Grade
        <select className={SELECT} value={grade} onChange={(e) => setGrade(Number(e.target.value) as Grade)}>
          {([0, 1, 2, 3, 4] as const).map((g) => (
            <option key={g} value={g}>
              {gradeWord(step.kind, g)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        Calm
        <select
          className={SELECT}
          value={calm ?? ''}
          onChange={(e) => setCalm(e.target.value === '' ? null : (Number(e.target.value) as Calm))}
        >
          <option value="">not noted</option>
          {([0, 1, 2] as const).map((c) => (
            <option key={c} value={c}>
              {calmWord(c)}
            </option>
          ))}
        </select>
      </label>
      <Button look="act" type="submit">
        Mend it
      </Button>
      <Button onClick={() => void takeBack(personId, answer, 'taken back after the session').then(close)}>
        Take it back
      </Button>
      <Button look="quiet" onClick={close}>
        Leave it
      </Button>
    </form>
  )
}

const wordsOf = (answer: KeptAnswer, step: Step): string =>
  [
    answer.side === 'none' ? '' : answer.side,
    rungName(step, answer.rung),
    gradeWord(step.kind, answer.grade),
    answer.calm === null ? 'calm not noted' : calmWord(answer.calm),
    answer.seconds === null ? '' : `${answer.seconds} s`,
    answer.byChance ? 'by chance' : '',
    answer.recalled ? 'recalled' : '',
    answer.fault ?? '',
    answer.ahead ? 'the phone’s clock was ahead' : '',
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

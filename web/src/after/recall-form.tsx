import type { Session } from '@still-pine/contract'
import { gradeWord, type Calm, type Grade, type Side } from '@still-pine/core/answer'
import { markOf, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { Marks } from '../drawing/marks'
import { Button } from '../ui/button'
import { recall, type RecalledMark } from './mend'
import { CalmPicker, Picker, RungPicker, SidePicker } from '../shared/pickers'

interface Props {
  readonly session: Pick<Session, 'id' | 'horseId' | 'startedAt'>
  readonly program: Program
  readonly personId: string
  readonly firstStep: string
  /** The time of the session's last answer; recalled ones come after it. */
  readonly after: string
}

/** For who had no hand free: the marks of a burst, tapped in from memory, first one first. */
export const RecallForm = ({ session, program, personId, firstStep, after }: Props) => {
  const [stepKey, setStep] = useState(firstStep)
  const step = program.steps.find(({ key }) => key === stepKey) ?? program.steps[0]!
  const [side, setSide] = useState<Side>('left')
  const [rung, setRung] = useState(1)
  const [calm, setCalm] = useState<Calm | null>(0)
  const [marks, setMarks] = useState<readonly RecalledMark[]>([])
  const realSide: Side = step.sided ? (side === 'none' ? 'left' : side) : 'none'
  const realRung = Math.min(rung, step.rungs.length)
  const save = async (): Promise<void> => {
    await recall(personId, session, {
      track: { step: step.key, side: realSide, rung: markOf(step, realRung) },
      marks,
      after,
    })
    setMarks([])
  }
  return (
    <details className="no-print border-t-4 border-ink bg-panel p-3">
      <summary className="min-h-11 font-name text-lg font-bold">Tap in a burst from memory</summary>
      <div className="flex flex-col gap-3">
        <p className="text-quiet">Recalled answers count half, and never as a first ask of the day.</p>
        <div className="flex flex-wrap gap-3">
          <Picker label="Step" value={stepKey} onPick={setStep}>
            {program.steps.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Picker>
          {step.sided && <SidePicker side={realSide} onPick={setSide} />}
          <RungPicker step={step} rung={realRung} onPick={setRung} />
          <CalmPicker label="It was" calm={calm} onPick={setCalm} />
        </div>
        <div
          className="grid grid-cols-2 gap-2 desk:grid-cols-5"
          role="group"
          aria-label="Tap each answer, the first one first"
        >
          {([0, 1, 2, 3, 4] as const).map((grade: Grade) => (
            <Button key={grade} className="min-h-16" onClick={() => setMarks([...marks, { grade, calm }])}>
              {gradeWord(step.kind, grade)}
            </Button>
          ))}
        </div>
        <Marks
          kind={step.kind}
          marks={marks.map((mark, i) => ({ ...mark, id: String(i), side: realSide, half: true }))}
        />
        <div className="flex gap-2">
          <Button look="act" disabled={marks.length === 0} onClick={() => void save()}>
            Keep {marks.length} recalled
          </Button>
          <Button disabled={marks.length === 0} onClick={() => setMarks(marks.slice(0, -1))}>
            Undo
          </Button>
        </div>
      </div>
    </details>
  )
}

import { zodResolver } from '@hookform/resolvers/zod'
import { CalmSchema, GradeSchema, SideSchema, type SavedAnswer } from '@still-pine/contract'
import { calmWord, gradeWord, type Grade } from '@still-pine/core/answer'
import { strideWords } from '@still-pine/core/load'
import { amountIn, markOf, rungAt, rungName, type Step } from '@still-pine/core/program'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { Attachments } from '../shared/attachments/attachments'
import { Button } from '../ui/button'
import { TextField } from '../ui/inputs'
import { clock } from '../shared/words'
import { mend, takeBack } from './mend'
import { CalmPicker, Picker, RungPicker, SidePicker } from '../shared/pickers'

interface Props {
  readonly answer: SavedAnswer
  readonly step: Step
  readonly personId: string
  readonly mayMend: boolean
  /** How high the horse stands, where that is known. */
  readonly withersCm: number | null
}

const Mended = z.object({
  grade: GradeSchema,
  calm: CalmSchema.nullable(),
  side: SideSchema,
  rung: z.int().positive(),
  why: z.string().trim().max(200),
})

const Mending = ({ answer, step, personId, close }: Props & { close: () => void }) => {
  const { register, handleSubmit, watch, setValue, formState } = useForm({
    resolver: zodResolver(Mended),
    defaultValues: {
      grade: answer.grade,
      calm: answer.calm,
      side: answer.side,
      rung: rungAt(step, answer.rung),
      why: answer.why ?? '',
    },
  })
  const told = watch()
  const save = handleSubmit(async ({ rung, why, ...mended }) => {
    await mend(personId, answer, { ...mended, rung: markOf(step, rung), why: why || null })
    close()
  })
  return (
    <form className="flex flex-wrap items-end gap-3 bg-panel p-3" onSubmit={(event) => void save(event)}>
      {step.sided && <SidePicker side={told.side} onPick={(side) => setValue('side', side)} />}
      <RungPicker step={step} rung={told.rung} onPick={(rung) => setValue('rung', rung)} />
      <Picker label="Grade" value={told.grade} onPick={(grade) => setValue('grade', Number(grade) as Grade)}>
        {([0, 1, 2, 3, 4] as const).map((g) => (
          <option key={g} value={g}>
            {gradeWord(step.kind, g)}
          </option>
        ))}
      </Picker>
      {answer.against && (
        <TextField
          label="Why it was asked"
          hint={answer.against}
          maxLength={200}
          error={formState.errors.why?.message}
          {...register('why')}
        />
      )}
      <CalmPicker label="Calm" calm={told.calm} onPick={(calm) => setValue('calm', calm)} />
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

/** How long it took, and in strides where it was asked at a gait; a hold is as long as it was asked to be. */
const timeWords = ({ seconds, rung }: SavedAnswer, step: Step, withersCm: number | null): string => {
  if (seconds === null) return ''
  const data = step.does?.[rungAt(step, rung) - 1]
  const gait = data?.pace
  const isPrompt = step.kind === 'ask' && gait !== undefined && gait !== 'stand' && amountIn(data) === null
  return isPrompt ? `${seconds} s, ${strideWords(seconds, gait, withersCm)}` : `${seconds} s`
}

const wordsOf = (answer: SavedAnswer, step: Step, withersCm: number | null): string =>
  [
    answer.side === 'none' ? '' : answer.side,
    rungName(step, rungAt(step, answer.rung)),
    gradeWord(step.kind, answer.grade),
    answer.calm === null ? 'calm not noted' : calmWord(answer.calm),
    timeWords(answer, step, withersCm),
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
  const { answer, step, mayMend, withersCm } = props
  const [isOpen, setOpen] = useState(false)
  return (
    <li className="border-t border-line py-1">
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <span>
          <span className="text-quiet">{clock(answer.at)}</span>{' '}
          <span className={answer.voided ? 'text-quiet line-through' : ''}>
            {wordsOf(answer, step, withersCm)}
          </span>
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
      <Attachments
        record={{ to: 'answer', recordId: answer.id, horseId: answer.horseId }}
        adding={isOpen ? 'open' : 'none'}
      />
    </li>
  )
}

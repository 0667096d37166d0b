import type { SavedAnswer } from '@still-pine/contract'
import { count, type Side } from '@still-pine/core/answer'
import { stepOf, type Program, type Step } from '@still-pine/core/program'
import { ChevronDown, ChevronUp } from 'lucide-react'
import { useState } from 'react'
import { Marks, MARKS_KEY } from '../drawing/marks'
import { AnswerRow } from './answer-row'
import { besideStep, isOfState, type Change } from './change-words'

interface SheetProps {
  readonly answers: readonly SavedAnswer[]
  readonly changes: readonly Change[]
  readonly program: Program
  readonly personId: string
  readonly mayMend: boolean
  readonly withersCm: number | null
}

interface RowProps extends Omit<SheetProps, 'program'> {
  readonly step: Step
}

const isStanding = ({ voided }: SavedAnswer): boolean => !voided

/** "2 answers, 1 taken back": what was taken back is told, and counted nowhere. */
const countWords = (answers: readonly SavedAnswer[]): string => {
  const standing = answers.filter(isStanding).length
  const back = answers.length - standing
  return `${count(standing, 'answer')}${back > 0 ? `, ${back} taken back` : ''}`
}

/** The marks of one side, first one first. */
const SideMarks = ({ step, side, answers }: { step: Step; side: Side; answers: readonly SavedAnswer[] }) => {
  const marks = answers
    .filter((answer) => answer.side === side && isStanding(answer))
    .map((answer) => ({ ...answer, half: answer.byChance || answer.recalled }))
  return (
    <div className={`min-w-0 ${side === 'none' ? 'col-span-2' : ''}`}>
      {marks.length > 0 ? (
        <Marks marks={marks} kind={step.kind} spacing={22} low />
      ) : (
        <span className="text-quiet phone:hidden">not asked</span>
      )}
    </div>
  )
}

/** One step of the session: its marks left and right, what changed beside them, its answers one by one on touch. */
const StepRow = ({ step, answers, changes, ...row }: RowProps) => {
  const [isOpen, setOpen] = useState(false)
  const Chevron = isOpen ? ChevronUp : ChevronDown
  return (
    <li className="break-inside-avoid border-t border-line py-1">
      <div className="grid grid-cols-2 items-center gap-x-4 desk:grid-cols-[minmax(0,13rem)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,14rem)]">
        <h2 className="text-base phone:col-span-2">
          <button
            type="button"
            aria-expanded={isOpen}
            className="flex min-h-12 w-full items-center gap-2 text-left"
            onClick={() => setOpen(!isOpen)}
          >
            <Chevron aria-hidden="true" className="no-print size-5 shrink-0" />
            <span>
              <span className="font-name text-lg leading-tight font-bold">{step.name}</span>
              <span className="block font-read font-normal text-quiet">{countWords(answers)}</span>
            </span>
          </button>
        </h2>
        {(step.sided ? (['left', 'right'] as const) : (['none'] as const)).map((side) => (
          <SideMarks key={side} step={step} side={side} answers={answers} />
        ))}
        <ul className="phone:col-span-2">
          {changes.map((change) => (
            <li key={change.side} className={isOfState(change) ? 'font-bold' : ''}>
              {besideStep(change)}
            </li>
          ))}
        </ul>
      </div>
      {isOpen && (
        <ol className="py-1 desk:pl-7">
          {answers.map((answer) => (
            <AnswerRow key={answer.id} answer={answer} step={step} {...row} />
          ))}
        </ol>
      )}
    </li>
  )
}

/** The session at a glance: a row a step, marks left and right, what changed beside it. */
export const SessionSheet = ({ answers, changes, program, ...row }: SheetProps) => {
  const keys = [...new Set(answers.map(({ step }) => step))]
  return (
    <section aria-label="Steps of the session">
      <div
        aria-hidden="true"
        className="grid grid-cols-2 gap-x-4 text-quiet desk:grid-cols-[minmax(0,13rem)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,14rem)]"
      >
        <span className="phone:hidden">Step</span>
        <span>Left</span>
        <span>Right</span>
        <span className="phone:hidden">What changed</span>
      </div>
      <ol>
        {keys.map((key) => {
          const step = stepOf(program, key)
          if (!step) return null
          return (
            <StepRow
              key={key}
              step={step}
              answers={answers.filter((answer) => answer.step === key)}
              changes={changes.filter((change) => change.step === key)}
              {...row}
            />
          )
        })}
      </ol>
      <p className="border-t border-line pt-1 text-quiet">{MARKS_KEY}</p>
    </section>
  )
}

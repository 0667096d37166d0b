import { stepOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { useAppSelector } from '../app/store'
import { Marks } from '../drawing/marks'
import type { PenAnswer } from './pen-slice'

const NONE: readonly PenAnswer[] = []

const toMark = (answer: PenAnswer) => ({ ...answer, half: answer.byChance || answer.recalled })

interface Props {
  readonly program: Program
  readonly spacing?: number
  readonly most?: number
}

/** The answers of the step now asked: all that is drawn with a press itself, so that a slow phone has little to do at it. */
export const GivenMarks = ({ program, ...row }: Props) => {
  const given = useAppSelector(({ pen }) => pen?.answers ?? NONE)
  const asked = useAppSelector(({ pen }) => pen?.aim.step ?? '')
  const marks = useMemo(() => given.filter(({ step }) => step === asked).map(toMark), [given, asked])
  return <Marks marks={marks} kind={stepOf(program, asked)?.kind ?? 'ask'} {...row} />
}

import type { Settings } from '@still-pine/contract'
import { stepOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { useAppSelector } from '../app/store'
import { Marks } from '../drawing/marks'
import { Gauge } from './gauge'
import { MainButton } from './main-button'
import type { PenAnswer } from './pen-slice'
import { usePenView } from './use-pen'

// What is drawn with the press itself: the mark of its answer, the gauge and the big button. All else of the pen comes a
// frame later, so that a slow phone has little to do at a press.

interface Props {
  readonly program: Program
  readonly settings: Settings
}

const NONE: readonly PenAnswer[] = []

const toMark = (answer: PenAnswer) => ({ ...answer, half: answer.byChance || answer.recalled })

/** The answers of the step now asked. */
export const GivenMarks = ({
  program,
  ...row
}: Pick<Props, 'program'> & { readonly spacing?: number; readonly most?: number }) => {
  const given = useAppSelector(({ pen }) => pen?.answers ?? NONE)
  const asked = useAppSelector(({ pen }) => pen?.aim.step ?? '')
  const marks = useMemo(() => given.filter(({ step }) => step === asked).map(toMark), [given, asked])
  return <Marks marks={marks} kind={stepOf(program, asked)?.kind ?? 'ask'} {...row} />
}

export const LiveGauge = ({ program, settings }: Props) => {
  const view = usePenView(program, settings.pressLagSeconds)
  return view && <Gauge view={view} pace={program.pace} vibrate={settings.vibrate} />
}

export const Forward = ({
  program,
  settings,
  press,
  disabled,
}: Props & { readonly press: () => void; readonly disabled: boolean }) => {
  const kind = useAppSelector(({ pen }) => stepOf(program, pen?.aim.step ?? '')?.kind ?? 'ask')
  const isRunning = useAppSelector(({ pen }) => pen?.running != null)
  const calmIsOpen = useAppSelector(({ pen }) => pen?.calmFor != null)
  return (
    <MainButton
      kind={kind}
      isRunning={isRunning}
      settings={settings}
      press={press}
      disabled={disabled}
      calmIsOpen={calmIsOpen}
    />
  )
}

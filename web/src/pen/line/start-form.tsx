import type { Line } from '@still-pine/contract'
import { circle } from '@still-pine/core/load'
import type { Program } from '@still-pine/core/program'
import { useState } from 'react'
import { ChoiceField, TextField } from '../../ui/inputs'
import { typedNumber } from '../../shared/entry-form'
import { PermitStart } from '../permit-start'
import { linePermit } from './permitted'
import type { LineRun } from './run'

interface Props {
  readonly line: Line
  readonly program: Program
  /** The rein that went less so far. */
  readonly firstRein: 'left' | 'right'
  readonly begin: (start: Pick<LineRun, 'way' | 'rein' | 'diameterM' | 'note'>) => void
}

const IN_THE_HAND_M = 1
const LINE_M = 8
const LEAST_M = 4
const MOST_M = 60

const metres = (text: string): number => typedNumber(text) ?? 0

/** What has to be said before work on the line begins: with what, on which rein, on how big a circle. */
export const StartForm = ({ line, program, firstRein, begin }: Props) => {
  const [way, setWay] = useState<'lunge' | 'lines'>('lunge')
  const [rein, setRein] = useState(firstRein)
  const [lineM, setLineM] = useState(String(LINE_M))
  const [walkM, setWalkM] = useState('0')
  const isLine = metres(lineM) > IN_THE_HAND_M && metres(lineM) <= 30
  const diameterM = isLine
    ? circle({ lineM: metres(lineM), handM: IN_THE_HAND_M, walkM: metres(walkM), wantM: null }).mostDiameterM
    : 0
  const fits = diameterM >= LEAST_M && diameterM <= MOST_M
  const start = (note = ''): void => {
    if (fits) begin({ way, rein, diameterM, note })
  }
  return (
    <div className="flex flex-col gap-4">
      <div className="grid gap-3 desk:grid-cols-2">
        <ChoiceField
          label="With"
          words={[
            ['lunge', 'a lunge line'],
            ['lines', 'long lines'],
          ]}
          value={way}
          onChange={({ target }) => setWay(target.value as 'lunge' | 'lines')}
        />
        <ChoiceField
          label="First rein"
          words={[
            ['left', 'left'],
            ['right', 'right'],
          ]}
          value={rein}
          onChange={({ target }) => setRein(target.value as 'left' | 'right')}
        />
        <TextField
          label="Line, m"
          hint="a metre of it stays in the hand"
          inputMode="decimal"
          value={lineM}
          error={isLine ? undefined : 'From 2 to 30 m.'}
          onChange={({ target }) => setLineM(target.value)}
        />
        <TextField
          label="Your own circle, m"
          hint="how far from the middle you walk; 0 where you stand"
          inputMode="decimal"
          value={walkM}
          onChange={({ target }) => setWalkM(target.value)}
        />
      </div>
      <p className="text-lg" role="status">
        {fits
          ? `That is a circle of ${Math.round(10 * diameterM) / 10} m across.`
          : `A circle is ${LEAST_M} to ${MOST_M} m across.`}
      </p>
      <PermitStart
        permit={linePermit(line, program, way)}
        begins="Begin"
        disabled={!fits}
        allTheSame={{
          fold: 'It is done all the same: log it',
          hint: 'Kept with the work, and told in the book.',
          act: 'Log what is done',
        }}
        start={start}
      />
    </div>
  )
}

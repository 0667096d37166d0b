import type { Line } from '@still-pine/contract'
import { permit, type Permit } from '@still-pine/core/permit'
import { stepOf, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { typedNumber } from '../../shared/entry-form'
import { LawNotes } from '../../shared/law-notes'
import { permitHorse } from '../../shared/permit-horse'
import { ChoiceField, TextField } from '../../ui/inputs'
import { PermitStart } from '../permit-start'
import type { RideStart } from './ride-run'

/** The first that a school rides off the lead. */
const RIDDEN = ['ride-go-stop', 'ride-perimeter', 'led-ride']

const ridePermit = (line: Line, program: Program): Permit => {
  const step = RIDDEN.find((key) => stepOf(program, key))
  return step
    ? permit(permitHorse(line, program), { step, rung: 1 }, line.day)
    : { answer: 'yes', because: [] }
}

interface Props {
  readonly line: Line
  readonly program: Program
  readonly begin: (start: RideStart) => void
}

const isSame = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** What has to be said before somebody sits up: who, who is on the ground, and what was worked before. */
export const StartRide = ({ line, program, begin }: Props) => {
  const [rider, setRider] = useState('')
  const [helper, setHelper] = useState('')
  const [ground, setGround] = useState('')
  const [rein, setRein] = useState<'left' | 'right'>('left')
  const groundMinutes = typedNumber(ground) ?? 0
  const isBoth = helper.trim() !== '' && isSame(rider, helper)
  const fits = rider.trim() !== '' && !isBoth && groundMinutes >= 0 && groundMinutes <= 240
  const start = (note = ''): void => {
    if (fits) begin({ rider: rider.trim(), helper: helper.trim(), groundMinutes, rein, note })
  }
  return (
    <div className="flex flex-col gap-4">
      <div className="grid gap-3 desk:grid-cols-2">
        <TextField label="Rider" value={rider} onChange={({ target }) => setRider(target.value)} />
        <TextField
          label="Helper on the ground"
          hint="leave it empty where nobody is"
          value={helper}
          error={isBoth ? 'The rider cannot be the helper.' : undefined}
          onChange={({ target }) => setHelper(target.value)}
        />
        <TextField
          label="Ground work, minutes"
          inputMode="decimal"
          value={ground}
          onChange={({ target }) => setGround(target.value)}
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
      </div>
      <LawNotes horseId={line.horse.id} about={['helmet', 'minors', 'mounted']} />
      <PermitStart
        permit={ridePermit(line, program)}
        begins="Up"
        disabled={!fits}
        allTheSame={{
          fold: 'It is ridden all the same: log it',
          hint: 'Kept with the ride, and told in the book.',
          act: 'Log what is ridden',
        }}
        start={start}
      />
    </div>
  )
}

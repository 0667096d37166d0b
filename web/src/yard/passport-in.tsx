import { Passport, PutEntry, PutIncident, type HorseForm } from '@still-pine/contract'
import { stepOf, type Program } from '@still-pine/core/program'
import { verdictWords } from '@still-pine/use-cases'
import { useState, type ChangeEvent } from 'react'
import { v7 as uuid } from 'uuid'
import type { z } from 'zod'
import { saveHere } from '../offline/save'
import { fullDay } from '../shared/words'
import { Notice } from '../ui/field'
import { TextField } from '../ui/inputs'

/** The largest file that is read: a passport is text. */
const MOST_BYTES = 1_000_000

const readFrom = async (file: File): Promise<Passport | string> => {
  if (file.size > MOST_BYTES) return 'This file is too large for a passport. Nothing was read.'
  try {
    const found = Passport.safeParse(JSON.parse(await file.text()))
    if (found.success) return found.data
    const [fault] = found.error.issues
    return `This passport cannot be read: ${fault!.path.join('.')}${fault!.path.length > 0 ? ', ' : ''}${fault!.message} Nothing was read.`
  } catch {
    return 'This is no passport: it is not JSON. Nothing was read.'
  }
}

/** What the form of a new horse says by its passport. */
export const formFrom = (passport: Passport, today: string): z.input<typeof HorseForm> => {
  const { horse, signed, sizes } = passport
  return {
    name: horse.name,
    born: horse.born,
    sex: horse.sex,
    kind: horse.kind,
    marks: horse.marks,
    origin: `From ${signed.yard}, handed over by ${signed.by}, ${fullDay(signed.on)}. ${verdictWords(passport)}`,
    handled: true,
    arrived: today,
    estimate:
      horse.age === null ? null : { ...horse.age, on: signed.on, how: `the passport of ${signed.yard}` },
    feral: false,
    bitted: horse.bitted,
    heightCm: sizes.withersCm,
  }
}

/** The names of what was promised that no step here is. */
export const unknownIn = (passport: Passport, program: Program): readonly string[] => [
  ...new Set(passport.promised.filter(({ step }) => !stepOf(program, step)).map(({ name }) => name)),
]

interface Arriving {
  readonly personId: string
  readonly horseId: string
  readonly program: Program
  readonly today: string
}

/** Keeps what a passport tells of a horse beside its work: cues, kit, what happened. What it knows is asked anew. */
export const keepTold = async (
  { cues, kit, incidents }: Passport,
  { personId, horseId, program, today }: Arriving,
): Promise<void> => {
  const entries = [
    ...cues.map((cue) => ({ kind: 'cue', on: today, step: null, ...cue })),
    { kind: 'tack', on: today, ...kit },
  ]
  for (const entry of entries)
    await saveHere(personId, horseId, { do: 'enter', id: uuid(), horseId, entry: PutEntry.parse(entry) })
  for (const told of incidents) {
    const step = told.step !== null && stepOf(program, told.step) ? told.step : null
    const incident = PutIncident.parse({ ...told, step })
    await saveHere(personId, horseId, { do: 'incident', id: uuid(), horseId, incident })
  }
}

interface Props {
  readonly passport: Passport | null
  readonly program: Program
  readonly onRead: (passport: Passport | null) => void
}

/** Reads the passport a horse came with. */
export const PassportIn = ({ passport, program, onRead }: Props) => {
  const [fault, setFault] = useState('')
  const read = async ({ target }: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const [file] = target.files ?? []
    const found = file ? await readFrom(file) : null
    setFault(typeof found === 'string' ? found : '')
    onRead(typeof found === 'string' ? null : found)
  }
  const unknown = passport ? unknownIn(passport, program) : []
  return (
    <section className="flex flex-col gap-2">
      <TextField
        label="It came with a passport"
        hint="The file of another yard; it fills in what it knows."
        type="file"
        accept="application/json,.json"
        error={fault || undefined}
        onChange={(event) => void read(event)}
      />
      {passport && (
        <Notice>
          {passport.horse.name} from {passport.signed.yard}: {verdictWords(passport)} Cues, kit and{' '}
          {passport.incidents.length === 0 ? 'no incidents' : 'what happened'} come along. What it knows is
          asked anew in its arrival check, and its saddle is checked anew.
          {unknown.length > 0 && ` Nobody here knows these steps: ${unknown.join(', ')}.`}
        </Notice>
      )}
    </section>
  )
}

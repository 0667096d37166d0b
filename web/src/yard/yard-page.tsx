import type { Settings, TodayRow } from '@still-pine/contract'
import { files } from '@still-pine/contract/files'
import { mayDo } from '@still-pine/contract/rights'
import { useState, type KeyboardEvent } from 'react'
import { Link } from 'react-router'
import { toast } from '../ui/toast'
import { useQuery, useCommand, wordsFor } from '../app/client'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'
import { Loading } from '../shared/loading'
import { Horses } from './horses'
import { People } from './people/people'
import { Places } from './places/places'

/** A key is learnt by pressing it once: a remote sends keys like any keyboard. */
const LearntKey = ({
  label,
  value,
  onLearn,
}: {
  label: string
  value: string
  onLearn: (key: string) => void
}) => {
  const [isLearning, setLearning] = useState(false)
  const learn = (event: KeyboardEvent): void => {
    if (!isLearning || ['Tab', 'Shift', 'Escape'].includes(event.key)) return
    event.preventDefault()
    event.stopPropagation()
    onLearn(event.key)
    setLearning(false)
  }
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span className="w-40 font-bold">{label}</span>
      <Button
        aria-pressed={isLearning}
        onClick={() => setLearning(true)}
        onKeyDownCapture={learn}
        onBlur={() => setLearning(false)}
      >
        {isLearning ? 'Press it now' : value}
      </Button>
    </div>
  )
}

const Tick = ({ words, on, set }: { words: string; on: boolean; set: (on: boolean) => void }) => (
  <label className="flex min-h-11 items-center gap-3 font-bold">
    <input type="checkbox" className="size-6" checked={on} onChange={(e) => set(e.target.checked)} />
    {words}
  </label>
)

const SettingsForm = ({ settings }: { settings: Settings }) => {
  const [save] = useCommand('settings')
  const change = async (patch: Partial<Settings>): Promise<void> => {
    const done = await save({ body: { ...settings, ...patch } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-2xl">Your settings</h2>
      <Field label="Colours">
        {(props) => (
          <select
            className={INPUT}
            value={settings.theme}
            onChange={(e) => void change({ theme: e.target.value as Settings['theme'] })}
            {...props}
          >
            <option value="system">As the device</option>
            <option value="light">Light</option>
            <option value="dark">Dark, for the evening barn</option>
            <option value="pen">High contrast, for the sun</option>
          </select>
        )}
      </Field>
      <Tick
        words="I work with a remote of two buttons"
        on={settings.hasRemote}
        set={(hasRemote) => void change({ hasRemote })}
      />
      <LearntKey
        label="Remote, forward"
        value={settings.forwardKey}
        onLearn={(forwardKey) => void change({ forwardKey, hasRemote: true })}
      />
      <LearntKey
        label="Remote, back"
        value={settings.backKey}
        onLearn={(backKey) => void change({ backKey, hasRemote: true })}
      />
      <Field
        label="Your reaction time, seconds"
        hint="The time your thumb takes after your eye; it is taken off every answer."
      >
        {(props) => (
          <input
            type="number"
            min={0}
            max={2}
            step={0.1}
            className={INPUT}
            defaultValue={settings.pressLagSeconds}
            onBlur={(e) =>
              void change({ pressLagSeconds: Math.min(2, Math.max(0, Number(e.target.value) || 0)) })
            }
            {...props}
          />
        )}
      </Field>
      <Tick
        words="Feel the change of phase (vibration)"
        on={settings.vibrate}
        set={(vibrate) => void change({ vibrate })}
      />
    </section>
  )
}

const Files = ({ rows }: { rows: readonly TodayRow[] }) => (
  <section className="flex flex-col gap-2">
    <h2 className="text-2xl">Export, import</h2>
    <p>Everything here is yours, in open formats.</p>
    <a className="inline-flex min-h-11 items-center underline" href={`/api/v1${files.yardOut.path}`} download>
      Export the whole yard (JSON)
    </a>
    <a
      className="inline-flex min-h-11 items-center underline"
      href={`/api/v1${files.answersOut.path}`}
      download
    >
      Export all answers (CSV)
    </a>
    {rows.length > 0 && (
      <details>
        <summary className="min-h-11 font-bold">Answers of one horse (CSV)</summary>
        <ul>
          {rows.map(({ horse }) => (
            <li key={horse.id}>
              <a
                className="inline-flex min-h-11 items-center underline"
                href={`/api/v1${files.answersOut.path}?horseId=${horse.id}`}
                download={`${horse.name}.csv`}
              >
                {horse.name}
              </a>
            </li>
          ))}
        </ul>
      </details>
    )}
    <Link className="inline-flex min-h-11 items-center underline" to="/yard/in">
      Import a log or a yard
    </Link>
  </section>
)

/** Horses, people, files and one’s own settings. */
const YardPage = () => {
  const { data: me } = useQuery('me')
  const { data: today } = useQuery('today')
  if (!me) return <Loading />
  return (
    <main className="flex flex-col gap-6 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">{me.yard.name}</h1>
        <p>
          {me.person.name}, {me.person.role}.{' '}
          <Link className="inline-flex min-h-11 items-center underline" to="/yard/waiting">
            What is saved, devices, sign out
          </Link>
        </p>
      </div>
      <div className="grid gap-8 desk:grid-cols-3">
        <Horses />
        <div className="flex flex-col gap-8">
          <People mayEdit={mayDo(me.person.role, 'edit-people')} />
          <Places mayEdit={mayDo(me.person.role, 'edit-places')} />
          <section className="flex flex-col gap-2">
            <h2 className="text-2xl">Reports</h2>
            <Link className="inline-flex min-h-11 items-center underline" to="/yard/reading">
              How the yard stands: gates, and what holds them
            </Link>
            <Link className="inline-flex min-h-11 items-center underline" to="/yard/judging">
              How well do we judge?
            </Link>
          </section>
          <section className="flex flex-col gap-2">
            <h2 className="text-2xl">Schools</h2>
            <Link className="inline-flex min-h-11 items-center underline" to="/yard/schools">
              Ways of working: four that ship, and your own
            </Link>
            <Link className="inline-flex min-h-11 items-center underline" to="/practice">
              Practice pen
            </Link>
          </section>
          {mayDo(me.person.role, 'take-out') && <Files rows={today?.rows ?? []} />}
        </div>
        <SettingsForm settings={me.person.settings} />
      </div>
      <p className="text-quiet">
        <a className="inline-flex min-h-11 items-center underline" href="/licences.txt">
          Licences of what Still Pine is built from
        </a>
      </p>
    </main>
  )
}

export default YardPage

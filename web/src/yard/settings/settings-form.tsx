import type { Settings } from '@still-pine/contract'
import { useState, type KeyboardEvent } from 'react'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { toast } from '../../ui/toast'

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

/** How the product looks, feels and is worked by this person. */
export const SettingsForm = ({ settings }: { settings: Settings }) => {
  const [save] = useCommand('settings')
  const change = async (patch: Partial<Settings>): Promise<void> => {
    const done = await save({ body: { ...settings, ...patch } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-2xl">How you work</h2>
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

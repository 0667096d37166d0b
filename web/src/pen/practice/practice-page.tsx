import type { Settings } from '@still-pine/contract'
import { gradeWord, MOST_AIDS, chancePercent } from '@still-pine/core/answer'
import { lessonKept, lightChances } from '@still-pine/core/herd'
import { SCHOOLS } from '@still-pine/core/program'
import { upperFirst } from '@still-pine/core/readiness'
import { useEffect } from 'react'
import { useSearchParams } from 'react-router'
import { Picker } from '../../shared/pickers'
import { useQuery } from '../../app/client'
import { Marks } from '../../drawing/marks'
import { PaceArc } from '../../drawing/pace-arc'
import { MainButton } from '../main-button'
import { useSecondsSince } from '../use-clock'
import { useDevices, usePull } from '../sensors/use-gauge'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { swallowSpace } from '../../ui/space-key'
import { isTyping } from '../../ui/typing'

import { LagDrill } from './lag-drill'
import { PracticeHorseDrawing } from './practice-horse'
import { usePractice, type Practice, type Practised } from './use-practice'

const lastWords = ({ intent, releaseSeconds, peakNewtons }: Practised): string => {
  const pull = peakNewtons === null ? '' : ` The most on the rope was ${Math.round(peakNewtons)} N.`
  if (intent.trySeconds === null) return `It would not have tried this time.${pull}`
  if (releaseSeconds === null)
    return `You let go before it tried, or never: it learnt nothing from that one. It would have tried at ${intent.trySeconds} s.${pull}`
  const kept = lessonKept(releaseSeconds)
  return `You let go ${releaseSeconds.toFixed(1)} s after its try. ${
    kept === 1 ? 'It kept the whole lesson.' : `It kept ${chancePercent(kept)} of the lesson.`
  }${pull}`
}

const usePracticeKeys = (practice: Practice, settings: Settings): void => {
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.repeat || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const isForward = event.key === ' ' || event.key === settings.forwardKey
      const isBack = event.key.toLowerCase() === 'n' || event.key === settings.backKey
      if (!isForward && !isBack) return
      event.preventDefault()
      if (isForward) practice.forward()
      else practice.back()
    }
    window.addEventListener('keydown', press)
    window.addEventListener('keyup', swallowSpace)
    return () => {
      window.removeEventListener('keydown', press)
      window.removeEventListener('keyup', swallowSpace)
    }
  }, [practice, settings.backKey, settings.forwardKey])
}

const openWindow = (path: string, name: string): void => {
  window.open(path, name, 'popup,width=340,height=560')
}

const Learned = ({ practice }: { practice: Practice }) => {
  const { now, withPromptHands } = lightChances(practice.horse)
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-4 text-lg">
      <dt>Chance of a light answer now</dt>
      <dd className="font-bold" data-testid="chance-now">
        {chancePercent(now)}
      </dd>
      <dt className="text-quiet">Had you let go at once each time</dt>
      <dd className="text-quiet" data-testid="chance-prompt">
        {chancePercent(withPromptHands)}
      </dd>
    </dl>
  )
}

const PracticePen = ({ settings }: { settings: Settings }) => {
  const [search, setSearch] = useSearchParams()
  const program = SCHOOLS.find(({ school }) => school === search.get('school')) ?? SCHOOLS[0]!
  const practice = usePractice(program, settings)
  const { running, last, done, tries } = practice
  useDevices()
  usePracticeKeys(practice, settings)
  const seconds = useSecondsSince(running?.startedAt ?? null)
  const pull = usePull(running?.startedAt ?? null, (running?.startedAt ?? 0) + (seconds ?? 0) * 1000)
  return (
    <main className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-3xl">Practice pen</h1>
        <Picker
          label="School"
          value={program.school}
          onPick={(school) => {
            practice.begin()
            setSearch({ school }, { replace: true })
          }}
        >
          {SCHOOLS.map(({ school, name }) => (
            <option key={school} value={school}>
              {name}
            </option>
          ))}
        </Picker>
      </div>
      <p className="text-lg phone:hidden">
        Give to the halter, with a horse that is not there. Press to ask; watch its head; press again the
        moment it gives. Nothing here is kept.
      </p>
      <div className="grid gap-x-6 gap-y-3 desk:grid-cols-2">
        <div className="grid grid-cols-2 items-center gap-2 desk:grid-cols-1">
          <PracticeHorseDrawing tries={tries} asks={running !== null} />
          <p className="text-center font-name text-6xl font-extrabold desk:hidden">
            {seconds?.toFixed(1) ?? '–'}
          </p>
          <div className="h-44 phone:hidden">
            <PaceArc pace={program.pace} seconds={seconds} pull={pull.samples} />
          </div>
        </div>
        <div className="flex flex-col justify-between gap-3">
          <p className="min-h-20 text-xl" role="status">
            {running
              ? tries
                ? 'There: let go.'
                : 'Wait for it.'
              : last
                ? `${upperFirst(gradeWord('ask', last.grade))}. ${lastWords(last)}`
                : 'Press Ask, watch its head, and press again the moment it gives.'}
          </p>
          <MainButton kind="ask" isRunning={running !== null} settings={settings} press={practice.forward} />
          <div className="grid grid-cols-2 gap-2">
            <Button className="min-h-16" hint="N" disabled={!running} onClick={practice.back}>
              {program.pace.gradedBy === 'aids' && running && running.aids < MOST_AIDS
                ? program.pace.phases[running.aids + 1]
                : 'No answer'}
            </Button>
            <Button className="min-h-16" onClick={practice.begin}>
              A new horse
            </Button>
          </div>
          <Learned practice={practice} />
          <Marks
            kind="ask"
            spacing={24}
            marks={done.map(({ id, grade, intent }) => ({ id, side: 'none', grade, calm: intent.calm }))}
          />
        </div>
      </div>
      <section className="grid gap-6 border-t border-line pt-4 desk:grid-cols-2">
        <LagDrill settings={settings} />
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">Stand-ins</h2>
          <p>No remote and no gauge yet? These two small windows send what the real ones would.</p>
          <div className="flex flex-wrap gap-3">
            <Button
              className="min-h-14"
              onClick={() =>
                openWindow(
                  `/stand-ins/remote.html?${new URLSearchParams({ forward: settings.forwardKey, back: settings.backKey }).toString()}`,
                  'still-pine-remote',
                )
              }
            >
              Two-button remote
            </Button>
            <Button
              className="min-h-14"
              onClick={() => openWindow('/stand-ins/gauge.html', 'still-pine-gauge')}
            >
              Rope gauge
            </Button>
          </div>
          <p role="status" className="text-quiet">
            {pull.state === 'none'
              ? 'No gauge is heard.'
              : pull.state === 'gone'
                ? 'The gauge is silent.'
                : 'A gauge is heard.'}
          </p>
        </div>
      </section>
    </main>
  )
}

/** To learn the buttons and the timing on a horse that cannot be spoilt. */
const PracticePage = () => {
  const { data: me, error } = useQuery('me')
  return me ? <PracticePen settings={me.person.settings} /> : <Loading error={error} />
}

export default PracticePage

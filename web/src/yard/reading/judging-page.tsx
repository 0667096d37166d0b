import {
  PREDICTIONS_ABOUT,
  type Judging,
  type PredictionsAbout,
  type YardReading,
} from '@still-pine/contract'
import { count, percent } from '@still-pine/core/answer'
import {
  ENOUGH_PREDICTIONS,
  ownInWords,
  reliabilityInWords,
  scoresInWords,
  reliabilityOf,
  type CircumstanceGroup,
  type PredictedOf,
} from '@still-pine/core/evidence'
import { modelFor } from '@still-pine/core/judgement'
import { STAGES } from '@still-pine/core/program'
import { useCallback, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Picker } from '../../shared/pickers'
import { Differences } from '../../circumstances/differences'
import { Chart } from '../../drawing/chart'
import { Fold } from '../../ui/fold'
import { Loading } from '../../shared/loading'
import { reliabilityOption } from './reliability-option'
import { Forecasts } from './forecasts'
import { OwnValues } from './own-values'
import { useOwn } from './use-own'

type Group = Judging['groups'][number]

const stageName = (stage: number): string =>
  stage === 0 ? 'Steps no longer in the school' : `${stage} ${STAGES[stage - 1]!}`

/** The ways in which predictions are told apart: of each the key and the words of a group. */
const PARTINGS = {
  stage: { title: 'By stage', all: 'all stages', of: ({ stage }: Group) => stageName(stage) },
  school: { title: 'By school', all: 'all schools', of: ({ schoolName }: Group) => schoolName },
  handler: { title: 'By handler', all: 'everybody', of: ({ personName }: Group) => personName },
} as const

type Parting = keyof typeof PARTINGS
const PARTING_NAMES = Object.keys(PARTINGS) as Parting[]

type Chosen = Readonly<Record<Parting, string>>

/** What was predicted, in the words of its choice and of its chart. */
const ABOUT: Readonly<
  Record<PredictionsAbout, { choice: string; words: PredictedOf; axis: string; note: string }>
> = {
  light: { choice: 'a light answer', words: 'light', axis: 'came light', note: '' },
  calm: { choice: 'an answer that is not tight', words: 'not tight', axis: 'came not tight', note: '' },
  earlier: {
    choice: 'a light answer, as it was judged before',
    words: 'light',
    axis: 'came light',
    note: 'Said by an earlier way of judging, and kept as it was said. What is judged now is under “a light answer”.',
  },
}

const NOTHING_CHOSEN: Chosen = { stage: '', school: '', handler: '' }

const namesIn = (groups: readonly Group[], parting: Parting): readonly string[] =>
  [...new Set(groups.map(PARTINGS[parting].of))].sort((a, b) =>
    a.localeCompare(b, undefined, { numeric: true }),
  )

const isChosen = (group: Group, chosen: Chosen): boolean =>
  PARTING_NAMES.every((parting) => chosen[parting] === '' || PARTINGS[parting].of(group) === chosen[parting])

const talliesIn = (groups: readonly Group[]) => groups.flatMap(({ tallies }) => tallies)

const betterWords = (better: number | null): string => {
  if (better === null) return 'all alike'
  return better > 0 ? `${percent(better)} nearer` : 'no nearer'
}

const PartTable = ({ groups, parting }: { groups: readonly Group[]; parting: Parting }) => (
  <table className="w-full border-collapse">
    <caption className="text-left font-name text-xl font-bold">{PARTINGS[parting].title}</caption>
    <thead className="text-right text-quiet">
      <tr>
        <td />
        <th scope="col">first asks</th>
        <th scope="col">came so</th>
        <th scope="col">Brier</th>
        <th scope="col">than the base rate</th>
      </tr>
    </thead>
    <tbody>
      {namesIn(groups, parting).map((name) => {
        const own = groups.filter((group) => PARTINGS[parting].of(group) === name)
        const told = reliabilityOf(talliesIn(own))
        return (
          <tr key={name} className="border-t border-line text-right">
            <th scope="row" className="py-1 text-left font-normal">
              {name}
            </th>
            <td>{told.predictions}</td>
            <td>{percent(told.baseRate)}</td>
            <td>{told.brier.toFixed(3)}</td>
            <td>{told.predictions < ENOUGH_PREDICTIONS ? 'too few to say' : betterWords(told.better)}</td>
          </tr>
        )
      })}
    </tbody>
  </table>
)

const Predictions = ({ all }: { all: readonly Group[] }) => {
  const known = PREDICTIONS_ABOUT.filter((one) => all.some((group) => group.about === one))
  const [asked, setAbout] = useState<PredictionsAbout>('light')
  const about = known.includes(asked) ? asked : (known[0] ?? 'light')
  const [chosen, setChosen] = useState(NOTHING_CHOSEN)
  const groups = useMemo(() => all.filter((group) => group.about === about), [all, about])
  const own = useMemo(() => groups.filter((group) => isChosen(group, chosen)), [groups, chosen])
  const told = useMemo(() => reliabilityOf(talliesIn(own)), [own])
  const { words, axis, note } = ABOUT[about]
  const option = useCallback(() => reliabilityOption(told, axis), [told, axis])
  return (
    <section className="flex max-w-4xl flex-col gap-4">
      <div className="flex flex-col gap-3">
        <div className="no-print flex flex-wrap gap-3">
          <Picker label="The chance of" value={about} onPick={(value) => setAbout(value as PredictionsAbout)}>
            {known.map((one) => (
              <option key={one} value={one}>
                {ABOUT[one].choice}
              </option>
            ))}
          </Picker>
          {PARTING_NAMES.map((parting) => (
            <Picker
              key={parting}
              label={PARTINGS[parting].title}
              value={chosen[parting]}
              onPick={(value) => setChosen({ ...chosen, [parting]: value })}
            >
              <option value="">{PARTINGS[parting].all}</option>
              {namesIn(groups, parting).map((name) => (
                <option key={name}>{name}</option>
              ))}
            </Picker>
          ))}
        </div>
        {told.predictions === 0 ? (
          <p className="text-lg">{reliabilityInWords(told, words)}</p>
        ) : (
          <Chart
            label="What was said against what came, in tenths"
            sentence={reliabilityInWords(told, words)}
            option={option}
            height={340}
          />
        )}
        {note && <p>{note}</p>}
        <p className="text-quiet">
          On the dotted line what was said is what came; above it the horses did better than was said. A bar
          is where the true share lies 19 times in 20.
        </p>
      </div>
      <details>
        <summary className="min-h-11 text-lg font-bold">
          Details: scores, by stage, school and handler
        </summary>
        <div className="flex flex-col gap-4">
          <p>{scoresInWords(told)}</p>
          {PARTING_NAMES.map((parting) => (
            <PartTable key={parting} groups={groups} parting={parting} />
          ))}
        </div>
      </details>
    </section>
  )
}

const Horses = ({ horses }: { horses: YardReading['horses'] }) => {
  const told = useOwn(horses)
  const isDone = told.length === horses.length
  const speedOf = (one: (typeof told)[number]): number => one.told?.own.speed.mean ?? 0
  const fastestFirst = [...told].sort((a, b) => speedOf(b) - speedOf(a))
  return (
    <section>
      <h2 className="text-2xl">What each horse is like</h2>
      {!isDone && (
        <p role="status" className="flex items-center gap-3">
          Reading horse {told.length + 1} of {horses.length} …
          <progress max={horses.length} value={told.length} aria-label="Horses read" />
        </p>
      )}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {fastestFirst.map(({ horseId, horseName, judgedBy, told: one }) => (
          <div key={horseId} className="contents">
            <dt className="font-bold">
              <Link className="underline" to={`/horses/${horseId}/reading`}>
                {horseName}
              </Link>
            </dt>
            <dd>
              {one
                ? ownInWords(modelFor({ values: judgedBy?.values }), one)
                : 'Could not be worked out here.'}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}

/** What was predicted before first asks against what came, and what each horse is like. */
const JudgingPage = () => {
  const { data, error, refetch } = useQuery('judging', {})
  const { data: reading } = useQuery('reading')
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  const predictions = talliesIn(data.groups.filter(({ about }) => about !== 'calm')).reduce(
    (sum, tally) => sum + tally.predictions,
    0,
  )
  return (
    <main className="flex flex-col gap-6 px-4 py-3 desk:px-5">
      <div>
        <h1 className="text-3xl">How well do we judge?</h1>
        <p className="text-lg">
          Before each first ask of a day the chance was said that its answer would be light, and not tight.
          This is how {count(predictions, 'of them', 'of them')} came out.
        </p>
      </div>
      <Predictions all={data.groups} />
      <Forecasts kept={data.forecasts} today={data.day} />
      <OwnValues fits={data.fits} toRemake={data.toRemake} />
      <Fold title="When it was otherwise">
        <Differences groups={data.circumstances as readonly CircumstanceGroup[]} />
      </Fold>
      {/* Last, for it comes horse by horse, and would push down what is being read. */}
      {reading && <Horses horses={reading.horses} />}
    </main>
  )
}

export default JudgingPage

import type { Measurement, PutMeasurement } from '@still-pine/contract'
import { bodyOf } from '@still-pine/core/body'
import { ageBounds } from '@still-pine/core/facts'
import { useMemo } from 'react'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../../app/client'
import { Chart } from '../../drawing/chart'
import { saveHere } from '../../offline/save'
import { EditList } from '../../shared/edit-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ShutList } from '../../shared/shut-list'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { MeasureForm } from './measure-form'
import { Riders } from './riders'
import { conditionSentence, growthSentences, riderSentence, trendSentence, weightSentence } from './sentences'
import { heightWords } from './units'
import { weightOption } from './weight-option'

const measuredWords = (one: Measurement): string =>
  [
    one.girthCm === null ? '' : `girth ${one.girthCm} cm, length ${one.lengthCm} cm`,
    one.scaleKg === null ? '' : `${one.scaleKg} kg on the scale`,
    one.withersCm === null ? '' : `withers ${heightWords(one.withersCm)}`,
    one.croupCm === null ? '' : `croup ${one.croupCm} cm`,
    one.condition === null ? '' : `condition ${one.condition}`,
    one.note,
    one.byName,
  ]
    .filter(Boolean)
    .join('; ')

/** The record of a horse's body: how heavy, how grown, who may sit on it, and what it was measured from. */
const BodyPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { data, error: failed, refetch } = useQuery('measurements', { horseId })
  const mayLog = useMay('log-answers')
  const { entries = [], put: enter, strike } = useEntries(horseId)
  const horse = line?.horse
  const today = line?.day
  const body = useMemo(() => {
    if (!horse || !data || today === undefined) return null
    const standing = data.measurements.filter(({ takenBack }) => !takenBack)
    const aged = { born: horse.born, age: horse.estimate ?? null }
    return bodyOf(standing, { on: today, ageOn: (day) => ageBounds(aged, day) })
  }, [horse, data, today])
  const option = useMemo(() => () => weightOption(body?.weights ?? []), [body])
  if (!line || !me || !data || !body)
    return <Loading error={error ?? failed} retry={() => (error ? retry() : void refetch())} />
  const put = (id: string, measurement: PutMeasurement): Promise<boolean> =>
    saveHere(me.person.id, horseId, { do: 'measure', id, horseId, measurement })
  const rider = riderSentence(body, line.facts.rides ?? 0)
  const sentences = [...growthSentences(body), conditionSentence(body)].filter((one) => one !== null)
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      {body.isDue && (
        <p role="status" className="max-w-prose border-l-8 border-ink bg-panel px-3 py-2 text-lg">
          {body.sinceDays === null
            ? 'It has not been measured yet.'
            : `It is due to be measured: last ${body.sinceDays} days ago.`}
        </p>
      )}
      <div className="grid gap-8 desk:grid-cols-2">
        <div className="flex flex-col gap-4">
          <section className="max-w-prose text-lg">
            <h2 className="mb-1 text-2xl">Weight</h2>
            <p>{weightSentence(body)}</p>
            {rider && <p>{rider}</p>}
          </section>
          {sentences.length > 0 && (
            <section className="max-w-prose text-lg">
              <h2 className="mb-1 text-2xl">Growth and condition</h2>
              {sentences.map((sentence) => (
                <p key={sentence}>{sentence}</p>
              ))}
            </section>
          )}
          {body.weights.length > 1 && (
            <Chart sentence={trendSentence(body) ?? ''} label="Weight over the months" option={option} />
          )}
          <Riders
            entries={entries}
            today={line.day}
            bears={
              body.weight && {
                horseKg: body.weight.kg,
                conditionScore: body.condition?.score ?? null,
                rides: line.facts.rides ?? 0,
              }
            }
            put={enter}
            strike={strike}
          />
        </div>
        <EditList
          title="Measured"
          one="measurement"
          empty="Nothing yet. A tape round the girth and along the side takes a minute."
          items={data.measurements.toSorted((a, b) => b.on.localeCompare(a.on))}
          mayEdit={mayLog}
          name={({ on }) => longDay(on)}
          words={measuredWords}
          isStruck={({ takenBack }) => takenBack}
          actions={(one) => (
            <Button
              look="quiet"
              onClick={() => {
                const { id, byName: _by, ...rest } = one
                void put(id, { ...rest, takenBack: !one.takenBack })
              }}
            >
              {one.takenBack ? 'Let it count again' : 'Take it back'}
            </Button>
          )}
          form={(told, close) => (
            <MeasureForm
              today={line.day}
              told={told}
              onPut={(measurement) => {
                void put(told?.id ?? uuid(), measurement)
                close()
              }}
            />
          )}
        />
      </div>
    </main>
  )
}

export default BodyPage

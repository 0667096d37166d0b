import type { SavedAnswer } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { calmWord, count, gradeWord } from '@still-pine/core/answer'
import type { Step } from '@still-pine/core/program'
import { upperFirst } from '@still-pine/core/readiness'
import { agreement, witnessesInWords } from '@still-pine/core/sensors'
import { useEntries } from '../../shared/use-entries'
import { shortDay } from '../../shared/words'
import { Fold } from '../../ui/fold'

const OVER_SECONDS = 0.3

type Sensed = EntryOf<'sensed'>

interface Heard {
  readonly sensed: Sensed
  /** Found by when it was given, so that a correction of it is the answer that is shown. */
  readonly answer: SavedAnswer
}

const isOver = ({ pull }: Sensed): boolean | null => pull && pull.overSeconds >= OVER_SECONDS

const heartWords = ({ sensed: { heart }, answer: { calm } }: Heard): string => {
  if (heart === null) return '–'
  const { restBpm, peakBpm, recoverySeconds, byHeart } = heart
  const back =
    recoverySeconds === null
      ? 'not back to rest'
      : recoverySeconds === 0
        ? 'stayed near rest'
        : `back after ${count(Math.round(recoverySeconds), 'second')}`
  const says = {
    agrees: 'agrees',
    'heart-says-tighter': `says ${calmWord(byHeart)}`,
    'heart-says-looser': `says ${calmWord(byHeart)}`,
    'person-did-not-say': `says ${calmWord(byHeart)}`,
  }[agreement(byHeart, calm).says]
  return `${Math.round(restBpm)} at rest, ${Math.round(peakBpm)} at most, ${back}: ${says}`
}

const pullWords = ({ pull }: Sensed): string => {
  if (pull === null) return '–'
  const { peakNewtons, limitNewtons, overSeconds, deadPull } = pull
  const over =
    overSeconds >= OVER_SECONDS
      ? `over ${limitNewtons} N for ${overSeconds.toFixed(1)} s`
      : `within ${limitNewtons} N`
  return `${Math.round(peakNewtons)} N at most, ${over}${deadPull ? '; a dead pull' : ''}`
}

interface Props {
  readonly horseId: string
  readonly step: Step
  readonly answers: readonly SavedAnswer[]
}

/** What a heart strap and a rope gauge said of a step's answers, beside the marks the person gave. */
export const Witnesses = ({ horseId, step, answers }: Props) => {
  const { entries } = useEntries(horseId)
  const sensedAt = new Map(
    entriesOf(entries ?? [], 'sensed')
      .filter((one) => one.step === step.key)
      .map((one) => [`${one.sessionId} ${one.at}`, one]),
  )
  const heard = answers.flatMap((answer): Heard[] => {
    const sensed = sensedAt.get(`${answer.sessionId} ${answer.at}`)
    return sensed && !answer.voided ? [{ sensed, answer }] : []
  })
  if (heard.length === 0) return null
  const sentences = witnessesInWords(
    heard.map(({ sensed, answer }) => ({
      calm: answer.calm,
      byHeart: sensed.heart?.byHeart ?? null,
      overLimit: isOver(sensed),
    })),
  )
  return (
    <section className="flex flex-col gap-1" aria-label="Strap and gauge">
      <h3 className="text-xl">Strap and gauge: a second witness</h3>
      {sentences.map((words) => (
        <p key={words}>{words}</p>
      ))}
      <p className="text-quiet">They change no mark and enter no chance. The heart counts while it stands.</p>
      <Fold title={`Answer by answer: ${heard.length}`}>
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead>
              <tr>
                {['Day', 'Your mark', 'Heart, beats a minute', 'Pull'].map((name) => (
                  <th key={name} className="border-b-2 border-ink py-1 pr-4">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {heard.map((one) => (
                <tr key={one.answer.id} className="border-b border-line align-top">
                  <td className="py-1 pr-4 whitespace-nowrap">{shortDay(one.answer.day)}</td>
                  <td className="py-1 pr-4">
                    {upperFirst(gradeWord(step.kind, one.answer.grade))},{' '}
                    {one.answer.calm === null ? 'calm not noted' : calmWord(one.answer.calm)}
                  </td>
                  <td className="py-1 pr-4">{heartWords(one)}</td>
                  <td className="py-1">{pullWords(one.sensed)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Fold>
    </section>
  )
}

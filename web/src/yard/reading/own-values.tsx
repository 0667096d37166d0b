import type { FitVersion } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { ENOUGH, fitInWords, WORTH_IT } from '@still-pine/core/fit'
import { STANDARD_MODEL, valuesOf } from '@still-pine/core/judgement'
import { useCommand, useQuery, wordsFor } from '../../app/client'
import { dayOf, longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { toast } from '../../ui/toast'

const DEFAULTS = valuesOf(STANDARD_MODEL)

/** How much better or worse the days held out were said with these values. */
const heldOutWords = ({ heldOut, inUse }: FitVersion): string => {
  const by = heldOut - inUse
  const size = Math.abs(by).toFixed(3)
  if (by >= WORTH_IT) return `It says the days it had not seen better, by ${size} an answer.`
  return by >= 0
    ? `It says the days it had not seen hardly better, by ${size} an answer: not taken up.`
    : `It says the days it had not seen worse, by ${size} an answer: not taken up.`
}

const wordsOf = ({ values }: FitVersion): string => {
  const words = fitInWords(DEFAULTS, values)
  return words.length === 0 ? 'Your horses are as we assumed.' : `${words.join('; ')}.`
}

/** What the yard's own log says of its horses, version by version; a starter chooses which they are judged by. */
export const OwnValues = ({ fits, toRemake }: { fits: readonly FitVersion[]; toRemake: number }) => {
  const { data: me } = useQuery('me')
  const [put, { isLoading }] = useCommand('putFit')
  const inUse = fits.find(({ isInUse }) => isInUse)?.version ?? null
  const mayChoose = me !== undefined && mayDo(me.person.role, 'edit-school')
  const choose = async (version: number | null): Promise<void> => {
    const done = await put({ body: { version } })
    if (done.error) return void toast.error(wordsFor(done.error))
    toast('The horses are worked out anew, one after the other; until then they stand as they did.', {
      action: { label: 'Undo', onClick: () => void put({ body: { version: inUse } }) },
    })
  }
  return (
    <section>
      <h2 className="text-2xl">What your own log says</h2>
      <p className="max-w-prose">
        Each night the log is asked whether your horses differ from what we assume of young horses. It speaks
        from {ENOUGH.answers} answers on {ENOUGH.workDays} work days on. It never moves what a step needs to
        be Solid, nor any rule of safety.
      </p>
      {toRemake > 0 && (
        <p role="status">
          {count(toRemake, 'horse is', 'horses are')} being worked out anew; until then they stand as they
          did.
        </p>
      )}
      {fits.length === 0 ? (
        <p>It has not spoken yet: horses are judged as we assume.</p>
      ) : (
        <ul>
          {fits.map((fit) => (
            <li key={fit.version} className="border-t border-line py-2">
              <p>
                <b>
                  Version {fit.version}
                  {fit.isInUse && ', in use'}
                </b>{' '}
                <span className="text-quiet">
                  {longDay(dayOf(fit.madeAt))}, from {count(fit.answers, 'answer')}
                </span>
              </p>
              <p className="max-w-prose first-letter:uppercase">{wordsOf(fit)}</p>
              <p className="max-w-prose">{heldOutWords(fit)}</p>
              {mayChoose && (
                <Button
                  className="no-print mt-1"
                  disabled={isLoading}
                  onClick={() => void choose(fit.isInUse ? null : fit.version)}
                >
                  {fit.isInUse ? 'Go back to what we assume' : 'Judge by this version'}
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

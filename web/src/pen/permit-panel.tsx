import type { Line } from '@still-pine/contract'
import type { Confirmation } from '@still-pine/core/facts'
import type { Offers, Reason } from '@still-pine/core/permit'
import { rungName } from '@still-pine/core/program'
import { v7 as uuid } from 'uuid'
import { saveHere } from '../offline/save'
import { useAppDispatch } from '../app/store'
import { CONFIRM } from '../shared/confirmations'
import { Button } from '../ui/button'
import { WhyForm } from '../shared/why-form'
import { fullDay, withDays } from '../shared/words'
import { allowed, confirmedNow } from './pen-slice'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

interface Props {
  readonly view: PenView
  readonly line: Line
  readonly offers: Offers
  readonly actions: PenActions
  readonly personId: string
}

const MOST_SHOWN = 3

/** What is judged and not merely looked at: here the reason has to be read. */
const JUDGED: readonly Confirmation[] = ['load-day', 'rider-share']

const Reasons = ({ because }: { because: readonly Reason[] }) => (
  <ul className="flex flex-col gap-1 text-xl leading-tight">
    {because.slice(0, MOST_SHOWN).map(({ words, until }) => (
      <li key={words}>
        {withDays(words)}
        {until && <span className="sr-only"> Until {fullDay(until)}.</span>}
      </li>
    ))}
    {because.length > MOST_SHOWN && <li>And {because.length - MOST_SHOWN} more.</li>}
  </ul>
)

/** What has to be seen at the pen before this is asked, each one press. */
const ToConfirm = ({ view, line, offers, personId }: Omit<Props, 'actions'>) => {
  const dispatch = useAppDispatch()
  const { horseId, day, confirmed } = view.pen
  const { because } = offers.permit
  const presses = because.filter((one): one is Reason & { confirm: Confirmation } => one.confirm !== null)
  const others = because.filter(({ confirm }) => confirm === null)
  const press = async (one: Confirmation): Promise<void> => {
    const all = [...new Set([...line.facts.confirmed, ...confirmed, one])]
    const item = { do: 'confirm' as const, id: uuid(), horseId, day, confirmed: all }
    if (await saveHere(personId, horseId, item)) dispatch(confirmedNow(one))
  }
  return (
    <>
      <h2 className="text-2xl">First, today</h2>
      {others.length > 0 && <Reasons because={others} />}
      <div className="flex flex-col gap-2">
        {presses.map(({ confirm, words }) => (
          <Button
            key={confirm}
            className="min-h-16 text-xl leading-tight"
            onClick={() => void press(confirm)}
          >
            {CONFIRM[confirm]}
            {JUDGED.includes(confirm) && <span className="block text-lg font-normal">{withDays(words)}</span>}
          </Button>
        ))}
        {presses.length === 0 && (
          <Button look="act" className="min-h-16 text-xl" onClick={() => dispatch(allowed(null))}>
            Seen: go on
          </Button>
        )}
      </div>
    </>
  )
}

/** Against the permit nothing is offered; what is done all the same is kept, with a word why. */
const Refused = ({ view, offers, actions }: Omit<Props, 'line' | 'personId'>) => {
  const dispatch = useAppDispatch()
  const { instead, permit } = offers
  return (
    <>
      <h2 className="text-2xl text-stop">Not to be asked today</h2>
      <Reasons because={permit.because.filter(({ answer }) => answer === 'no')} />
      {instead !== null && (
        <Button look="act" className="min-h-16 text-xl" onClick={() => actions.toRung(instead)}>
          Ask rung {instead}: {rungName(view.step, instead)}
        </Button>
      )}
      <details>
        <summary className="min-h-16 text-lg font-bold">It was done all the same: log it</summary>
        <WhyForm
          label="Why, in a word"
          hint="Kept with every answer, and told in the book and the report."
          act="Log what was done"
          className="flex-col"
          onWhy={(why) => void dispatch(allowed(why))}
        />
      </details>
    </>
  )
}

/** In the place of the big button where the permit has something to say to this ask. */
export const PermitPanel = ({ view, line, offers, actions, personId }: Props) => (
  <section
    aria-label="Before this is asked"
    className="flex max-h-[55dvh] low:max-h-[45dvh] min-h-[min(220px,40dvh)] flex-col gap-3 overflow-y-auto rounded-xl border-4 border-stop bg-panel p-4"
  >
    {offers.permit.answer === 'no' ? (
      <Refused view={view} offers={offers} actions={actions} />
    ) : (
      <ToConfirm view={view} line={line} offers={offers} personId={personId} />
    )}
  </section>
)

import type { ReplyOf, WeekWish } from '@still-pine/contract'
import { PLACE_USES } from '@still-pine/contract'
import { rulesIn } from '@still-pine/use-cases/week-asked'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { EditList } from '../../shared/edit-list'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { visitWord } from '../words'
import { useArrange } from './use-arrange'

type Week = ReplyOf<'plannedWeek'>
type Match = WeekWish['match']

const KIND_WORDS = [
  ['only', 'only with this person'],
  ['avoid', 'not'],
  ['count', 'so many a week'],
] as const

const WEIGHT_WORDS = [
  ['1', 'I would like it'],
  ['3', 'it matters'],
  ['must', 'it must be so'],
] as const

const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? 'somebody who left'

const about = (week: Week, { horses, uses, parts, conditions, people }: Match): string =>
  [
    horses ? horses.map((id) => nameIn(week.horses, id)).join(', ') : 'any horse',
    uses ? uses.map((use) => visitWord({ use, due: null })).join(', ') : '',
    parts ? `in the ${parts.join(', ')}` : '',
    conditions ? `when it is ${conditions.join(', ')}` : '',
    people ? `with ${people.map((id) => nameIn(week.people, id)).join(', ')}` : '',
  ]
    .filter(Boolean)
    .join(' ')

const wishWords = (week: Week, wish: WeekWish): string => {
  const what = about(week, wish.match)
  if (wish.kind === 'only')
    return `${what}: only with ${(wish.then.people ?? []).map((id) => nameIn(week.people, id)).join(', ')}`
  if (wish.kind === 'avoid') return `not ${what}`
  if (wish.kind === 'pin') return what
  return [
    wish.least === null ? '' : `at least ${wish.least}`,
    wish.most === null ? '' : `at most ${wish.most}`,
    'a week:',
    what,
  ]
    .filter(Boolean)
    .join(' ')
}

const list = (value: string): readonly [string] | undefined => (value === '' ? undefined : [value])

const filled = (match: Record<string, readonly string[] | undefined>): Match =>
  Object.fromEntries(Object.entries(match).filter(([, value]) => value !== undefined)) as Match

const WishForm = ({ week, wish, onDone }: { week: Week; wish: WeekWish | null; onDone: () => void }) => {
  const { arrange, isLoading } = useArrange(week)
  const rules = rulesIn(week)
  const { match } = wish ?? { match: {} as Match }
  const [kind, setKind] = useState<string>(wish?.kind ?? 'only')
  const [horse, setHorse] = useState(match.horses?.[0] ?? '')
  const [use, setUse] = useState(match.uses?.[0] ?? '')
  const [part, setPart] = useState(match.parts?.[0] ?? '')
  const [person, setPerson] = useState((wish?.kind === 'only' ? wish.then.people : match.people)?.[0] ?? '')
  const [condition, setCondition] = useState(match.conditions?.[0] ?? '')
  const [least, setLeast] = useState(wish?.kind === 'count' ? (wish.least?.toString() ?? '') : '')
  const [most, setMost] = useState(wish?.kind === 'count' ? (wish.most?.toString() ?? '') : '')
  const [weight, setWeight] = useState(wish ? String(wish.weight) : '1')
  const put = async (wishes: readonly unknown[]): Promise<void> => {
    const kept = await arrange(week.yardId, {
      ...rules,
      about: 'rules',
      wishes: wishes as typeof rules.wishes,
    })
    if (kept) onDone()
  }
  const others = rules.wishes.filter(({ id }) => id !== wish?.id)
  const save = (): Promise<void> => {
    const said = {
      horses: list(horse),
      uses: list(use),
      parts: list(part),
      conditions: list(condition.trim().toLowerCase()),
    }
    const whole = {
      id: wish?.id ?? uuid(),
      weight: weight === 'must' ? ('must' as const) : Number(weight),
      match: filled(kind === 'only' ? said : { ...said, people: list(person) }),
    }
    const made =
      kind === 'only'
        ? { ...whole, kind, then: filled({ people: list(person) }) }
        : kind === 'count'
          ? {
              ...whole,
              kind,
              least: least.trim() === '' ? null : Number(least),
              most: most.trim() === '' ? null : Number(most),
            }
          : { ...whole, kind: 'avoid' }
    return put([made, ...others])
  }
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <div className="grid grid-cols-2 gap-3">
        <ChoiceField
          label="Wish"
          words={KIND_WORDS}
          value={kind}
          onChange={({ target }) => setKind(target.value)}
        />
        <ChoiceField
          label="How much"
          words={WEIGHT_WORDS}
          value={weight}
          onChange={({ target }) => setWeight(target.value)}
        />
        <ChoiceField
          label="Horse"
          words={[['', 'any'], ...week.horses.map(({ id, name }) => [id, name] as const)]}
          value={horse}
          onChange={({ target }) => setHorse(target.value)}
        />
        <ChoiceField
          label="Work"
          words={[
            ['', 'any'],
            ...PLACE_USES.map((one) => [one, visitWord({ use: one, due: null })] as const),
          ]}
          value={use}
          onChange={({ target }) => setUse(target.value)}
        />
        <ChoiceField
          label="Part of the day"
          words={[['', 'any'], ...rules.parts.map(({ id }) => [id, id] as const)]}
          value={part}
          onChange={({ target }) => setPart(target.value)}
        />
        <ChoiceField
          label="Person"
          words={[
            ['', kind === 'only' ? 'choose one' : 'any'],
            ...week.people.map(({ id, name }) => [id, name] as const),
          ]}
          value={person}
          onChange={({ target }) => setPerson(target.value)}
        />
        <TextField
          label="When the day is"
          hint="a word you give days on the Week page: wet, market day"
          value={condition}
          onChange={({ target }) => setCondition(target.value)}
        />
        {kind === 'count' && (
          <>
            <TextField
              label="At least"
              inputMode="numeric"
              value={least}
              onChange={({ target }) => setLeast(target.value)}
            />
            <TextField
              label="At most"
              inputMode="numeric"
              value={most}
              onChange={({ target }) => setMost(target.value)}
            />
          </>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        <Button
          look="act"
          type="submit"
          disabled={
            isLoading ||
            (kind === 'only' && person === '') ||
            (kind === 'count' && least === '' && most === '')
          }
        >
          Save
        </Button>
        {wish && (
          <Button look="quiet" onClick={() => void put(others)}>
            Drop this wish
          </Button>
        )}
      </div>
    </form>
  )
}

/** What is wanted of every week, the most wanted first. */
export const Wishes = ({ week }: { week: Week }) => {
  const mayPlan = useMay('plan-week')
  return (
    <EditList<WeekWish>
      title="Wishes"
      one="wish"
      items={rulesIn(week).wishes as readonly WeekWish[]}
      mayEdit={mayPlan}
      empty="None. A wish is weighed against what a week is worth; one that must be is kept before all else."
      name={(wish) => wishWords(week, wish)}
      words={({ weight }) =>
        weight === 'must' ? 'must be' : `worth ${weight} work ${weight === 1 ? 'day' : 'days'}`
      }
      form={(wish, close) => <WishForm week={week} wish={wish} onDone={close} />}
    />
  )
}

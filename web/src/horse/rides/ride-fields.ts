import type { EntryOf } from '@still-pine/contract/entries-of'
import { typedNumber, type EntryField } from '../../shared/entry-form'

/** In the order in which they are ridden: the walk before is the warm-up. */
const PARTS = [
  ['before', 'straight', 'walk', 'Walk before, minutes'],
  ['trotLeft', 'left', 'trot', 'Trot to the left'],
  ['trotRight', 'right', 'trot', 'Trot to the right'],
  ['canterLeft', 'left', 'canter', 'Canter to the left'],
  ['canterRight', 'right', 'canter', 'Canter to the right'],
  ['after', 'straight', 'walk', 'Walk after'],
] as const

type Part = (typeof PARTS)[number][0]

/** What was told of each part; a ride told row by row elsewhere is changed part by part. */
const partsOf = (told: EntryOf<'ride'> | null): Record<Part, string> => {
  const typed = Object.fromEntries(PARTS.map(([part]) => [part, ''])) as Record<Part, string>
  const firstFast = told?.rows.findIndex(({ gait }) => gait !== 'walk') ?? -1
  told?.rows.forEach(({ rein, gait, minutes }, i) => {
    const part =
      gait === 'walk'
        ? firstFast !== -1 && i > firstFast
          ? 'after'
          : 'before'
        : (PARTS.find(([, onRein, atGait]) => onRein === rein && atGait === gait)?.[0] ?? 'before')
    typed[part] = String((typedNumber(typed[part]) ?? 0) + minutes)
  })
  return typed
}

const shown = (count: number | undefined): string => (count === undefined ? '' : String(count))

/** What stands in the fields of a ride that are not called as what was told. */
export const typedOf = (told: EntryOf<'ride'> | null): Readonly<Record<string, string>> => ({
  ...partsOf(told),
  asks: shown(told?.aid?.asks),
  tapped: shown(told?.aid?.tapped),
  mostTaps: shown(told?.aid?.mostTaps),
})

/** A ride from what its fields say. */
export const rideFrom = (values: Readonly<Record<string, unknown>>): object => ({
  ...values,
  aid:
    values.asks === null
      ? null
      : { asks: values.asks, tapped: values.tapped ?? 0, mostTaps: values.mostTaps ?? 0 },
  groundMinutes: values.groundMinutes ?? 0,
  rows: PARTS.flatMap(([part, rein, gait]) => {
    const minutes = values[part] as number | null
    return minutes === null || minutes === 0 ? [] : [{ rein, gait, minutes }]
  }),
})

/** A ride as it is told after: who, how long at what, how it went. */
export const rideFields = (today: string): readonly EntryField[] => [
  { name: 'on', label: 'On', as: 'day', start: today },
  { name: 'rider', label: 'Rider' },
  { name: 'helper', label: 'Helper on the ground', hint: 'leave it where nobody was' },
  { name: 'groundMinutes', label: 'Ground work, minutes', as: 'number' },
  ...PARTS.map(([name, , , label]) => ({ name, label, as: 'number' as const, of: 'rows' })),
  {
    name: 'went',
    label: 'It went',
    as: [
      ['well', 'well'],
      ['so-so', 'so-so'],
      ['badly', 'badly'],
    ],
  },
  { name: 'ended', label: 'What ended it' },
  { name: 'asks', label: 'Asks of the leg', hint: 'where a stick was carried', as: 'number', of: 'aid' },
  { name: 'tapped', label: 'Of them with a tap', as: 'number', of: 'aid' },
  { name: 'mostTaps', label: 'Most taps at one', as: 'number', of: 'aid' },
]

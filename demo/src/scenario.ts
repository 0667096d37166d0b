import type { BodyOf, HorseForm, IncidentTold } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import type { Nature, PathWork } from '@still-pine/core/herd'
import { STANDARD_LAW } from '@still-pine/core/learning'
import type { SchoolKey } from '@still-pine/core/program'

/** A stretch of work with its own rhythm: planned day by day, or a long one along the path. */
export interface Spell {
  readonly work: { readonly sessions: number } | PathWork
  /** Days from one session to the next, and from the last one to today. */
  readonly every: number
  readonly endsBefore: number
  /** What had changed the horse before it began. */
  readonly changed?: { readonly ability: number; readonly calm: number }
}

/** One horse of the made-up yard: how it is, how it was worked, and what is on record beside the work. */
export interface DemoHorse {
  readonly seed: number
  readonly form: HorseForm
  readonly school: SchoolKey
  readonly nature: Nature
  readonly spells: readonly Spell[]
  readonly checks: readonly BodyOf<'putCheck'>[]
  readonly incidents: readonly IncidentTold[]
  readonly handOver: readonly string[]
  readonly blocks: readonly DemoBlock[]
}

/** A stretch of its life; the last one is open. */
export type DemoBlock = Omit<BodyOf<'putBlock'>, 'version'>

export const DEMO_YARD = {
  yardName: 'Still Pine',
  timeZone: 'Europe/Oslo',
  personName: 'Ylva Tarn',
  email: 'starter@still-pine.example',
} as const

/** Who works some of the sessions. */
export const DEMO_HELPER = { name: 'Orm Fjell', role: 'helper', email: 'helper@still-pine.example' } as const

/** Comes one morning a week, and never signs in. */
export const DEMO_FARRIER = { name: 'Skarv Ness', role: 'helper', email: null, password: null } as const

/** The pens and tracks of the yard; the first is where it works. */
export const DEMO_PLACES: readonly Omit<BodyOf<'putPlace'>, 'version'>[] = [
  {
    name: 'Round pen',
    suits: ['loose', 'ground', 'mounting', 'ridden'],
    home: true,
    note: '18 m across, sand',
  },
  { name: 'Long track', suits: ['lines', 'ridden'], home: false, note: 'along the birches, wet in spring' },
  { name: 'Lake road', suits: ['ground', 'ridden', 'loading'], home: false, note: 'cars now and then' },
]

/** Steps that this yard leaves for later or does without. */
const SKIPPED = ['target', 'food-manners', 'over-from-fence', 'turn-front', 'side-strings', 'stretch-lunge']

const monthsBefore = (today: Day, months: number): Day => addDays(today, -Math.round(months * 30.44))

/** What most horses of the yard have in common. */
const PLAIN_FORM = { estimate: null, feral: false, bitted: false, heightCm: null } as const

type Told = Omit<HorseForm, 'born' | 'arrived' | keyof typeof PLAIN_FORM> &
  Partial<Pick<HorseForm, keyof typeof PLAIN_FORM>> & { months: number; arrivedAgo: number }

interface Ways {
  readonly speed?: number
  readonly ability: number
  readonly calm: number
  readonly stiffer?: Nature['stiffer']
  readonly troubles?: Nature['troubles']
}

const nature = ({ speed = 0.5, ability, calm, stiffer, troubles }: Ways): Nature => ({
  law: { ...STANDARD_LAW, speed },
  ability,
  calm,
  stiffer: stiffer ?? { side: 'right', by: 0.2 },
  ...(troubles ? { troubles } : {}),
})

/** The yard's records, told from today. */
const bookOf = (today: Day) => {
  const ago = (days: number): Day => addDays(today, -days)
  const look = (
    kind: BodyOf<'putCheck'>['kind'],
    days: number,
    change: Partial<BodyOf<'putCheck'>> = {},
  ): BodyOf<'putCheck'> => ({ kind, on: ago(days), until: null, passed: true, note: '', ...change })
  return {
    ago,
    look,
    block: (
      kind: DemoBlock['kind'],
      [days, untilAgo]: readonly [days: number, untilAgo?: number],
      words: Partial<Pick<DemoBlock, 'worries' | 'reward' | 'note'>> = {},
    ): DemoBlock => ({
      kind,
      from: ago(days),
      until: untilAgo === undefined ? null : ago(untilAgo),
      worries: '',
      reward: '',
      note: '',
      ...words,
    }),
    hold: (days: number, untilIn: number, note: string) =>
      look('veterinary-hold', days, { note, passed: false, until: ago(-untilIn) }),
  }
}

/**
 * The horses, told from today. The last one has no answers: when it is there, the whole yard is, so an interrupted
 * loading is noticed and goes on.
 */
export const demoHorses = (today: Day): readonly DemoHorse[] => {
  const { ago, block, look, hold } = bookOf(today)
  const horse = (
    seed: number,
    form: Told,
    {
      ways,
      spells,
      records = {},
    }: {
      ways: Ways
      spells: readonly Spell[]
      records?: Partial<Pick<DemoHorse, 'checks' | 'incidents' | 'handOver' | 'school' | 'blocks'>>
    },
  ): DemoHorse => {
    const { months, arrivedAgo, ...rest } = form
    const born = rest.estimate ? null : monthsBefore(today, months)
    return {
      seed,
      school: 'feet-first',
      form: { ...PLAIN_FORM, ...rest, born, arrived: ago(arrivedAgo) },
      nature: nature(ways),
      spells,
      checks: [],
      incidents: [],
      handOver: [],
      blocks: [block('start', [arrivedAgo])],
      ...records,
    }
  }
  return [
    horse(
      11,
      {
        name: 'Sedge',
        months: 40,
        sex: 'gelding',
        kind: 'horse',
        marks: 'Dun, dark points, small star',
        origin: 'Off the reserve last autumn',
        feral: true,
        handled: false,
        arrivedAgo: 190,
      },
      {
        ways: { speed: 0.4, ability: 2.5, calm: 1.8, stiffer: { side: 'right', by: 2.5 } },
        spells: [{ work: { upTo: 'weight-in-stirrup', without: SKIPPED }, every: 2, endsBefore: 1 }],
        records: {
          checks: [
            look('mouth', 90, { note: 'Wolf teeth out in spring, healed' }),
            look('saddle', 40, { note: 'Old tree, fits with a thin pad' }),
            look('feet', 38),
            look('worming', 60, { until: ago(-30) }),
          ],
        },
      },
    ),
    horse(
      4,
      {
        name: 'Lapwing',
        months: 66,
        sex: 'mare',
        kind: 'pony',
        marks: 'Bay, white near hind sock, broad as a barrel',
        origin: 'From a farm by the lake, will not load',
        handled: true,
        arrivedAgo: 96,
      },
      {
        ways: {
          speed: 0.55,
          ability: 2.4,
          calm: 1.6,
          stiffer: { side: 'left', by: 0.2 },
          troubles: { load: 5.5, gap: 1 },
        },
        spells: [{ work: { upTo: 'load', without: SKIPPED }, every: 2, endsBefore: 1 }],
        records: {
          checks: [look('feet', 44), look('mouth', 80)],
          incidents: [
            {
              kind: 'pull-back',
              on: ago(23),
              step: 'tie',
              side: null,
              where: 'Rail by the gate',
              before: 'A trailer was let down beside her',
              after: 'The collar held, she stood again after a minute',
            },
          ],
        },
      },
    ),
    horse(
      23,
      {
        name: 'Bramble',
        months: 52,
        sex: 'gelding',
        kind: 'cob',
        marks: 'Piebald, feathered, two white fore socks',
        origin: 'Driven in pairs for a year, never ridden',
        bitted: true,
        handled: true,
        arrivedAgo: 130,
      },
      {
        ways: { speed: 0.55, ability: 2.9, calm: 2.2 },
        spells: [{ work: { upTo: 'drive-on-bit', without: SKIPPED }, every: 2, endsBefore: 3 }],
        records: {
          checks: [
            look('mouth', 100, { note: 'Wore a bit for a year, no sharp edges' }),
            look('feet', 20),
            look('worming', 20),
          ],
        },
      },
    ),
    horse(
      31,
      {
        name: 'Bittern',
        months: 76,
        sex: 'mare',
        kind: 'horse',
        marks: 'Liver chestnut, blaze',
        origin: 'Restarted: two years a brood mare',
        handled: true,
        arrivedAgo: 960,
      },
      {
        ways: { speed: 0.55, ability: 2.8, calm: 2 },
        spells: [
          {
            work: { upTo: 'led-ride', without: [...SKIPPED, 'drive', 'drive-on-bit'] },
            every: 2,
            endsBefore: 745,
          },
          { work: { sessions: 4 }, every: 2, endsBefore: 1, changed: { ability: 0.3, calm: 0.2 } },
        ],
        records: {
          checks: [
            look('mouth', 12),
            look('saddle', 800, { note: 'The old saddle; she has changed since' }),
            look('feet', 12),
          ],
          handOver: [
            'halter-on',
            'lead-up',
            'step-back',
            'stand',
            'foot-front',
            'foot-hind',
            'tie',
            'yield-hind',
            'yield-shoulder',
            'bend',
            'saddle-on',
            'come-to-block',
          ],
          blocks: [
            block('start', [960, 745], {
              worries: 'Plastic that flaps behind her.',
              reward: 'Standing still with a rub between the eyes.',
            }),
            block('rest', [745, 8], {
              reward: 'As before.',
              note: 'In foal twice; the second weaned in spring.',
            }),
            block('restart', [8]),
          ],
        },
      },
    ),
    horse(
      37,
      {
        name: 'Snipe',
        months: 33,
        sex: 'entire',
        kind: 'horse',
        marks: 'Black, no white, crest coming',
        origin: 'Bought unseen from the coast',
        handled: true,
        arrivedAgo: 52,
      },
      {
        ways: { speed: 0.5, ability: 2.6, calm: -1.9, stiffer: { side: 'left', by: 0.3 } },
        spells: [{ work: { sessions: 16 }, every: 3, endsBefore: 2 }],
        records: {
          checks: [look('feet', 50)],
          incidents: [
            {
              kind: 'strike',
              on: ago(11),
              step: 'halter-on',
              side: 'left',
              where: 'Round pen, at the gate',
              before: 'Mares were led past',
              after: 'Stepped back behind the shoulder, began again smaller',
            },
          ],
        },
      },
    ),
    horse(
      41,
      {
        name: 'Burdock',
        months: 58,
        sex: 'gelding',
        kind: 'cob',
        marks: 'Strawberry roan, four white socks',
        origin: 'Children’s pony for a summer, then out of work',
        handled: true,
        arrivedAgo: 80,
      },
      {
        ways: { speed: 0.5, ability: 2.4, calm: 3 },
        spells: [
          { work: { upTo: 'foot-front', without: SKIPPED }, every: 2, endsBefore: 20 },
          { work: { sessions: 6 }, every: 3, endsBefore: 2, changed: { ability: -5, calm: 0.6 } },
        ],
        records: { checks: [look('feet', 30)] },
      },
    ),
    horse(
      43,
      {
        name: 'Curlew',
        months: 62,
        sex: 'mare',
        kind: 'horse',
        marks: 'Grey, dark knees',
        origin: 'Trail horse to be, for a family up the valley',
        handled: true,
        arrivedAgo: 240,
      },
      {
        ways: { speed: 0.65, ability: 3.6, calm: 2.6 },
        spells: [
          { work: { upTo: 'ride-perimeter', without: SKIPPED }, every: 2, endsBefore: 5 },
          { work: { sessions: 3 }, every: 1, endsBefore: 1 },
        ],
        records: {
          checks: [
            look('mouth', 200),
            look('saddle', 30, { note: 'Fitter came, widened by a size' }),
            look('feet', 25),
            look('worming', 85, { until: ago(-5) }),
          ],
          incidents: [
            {
              kind: 'bolt',
              on: ago(48),
              step: 'strange-places',
              side: null,
              where: 'Track by the mill',
              before: 'Hens came out under the hedge',
              after: 'Ran ten metres on the line, came round, walked past twice',
            },
            // They gather on one side: what the patterns of a horse are looked through for.
            ...(
              [
                [70, 'send'],
                [78, 'yield-hind'],
                [86, 'bend'],
                [94, 'stop-on-circle'],
                [102, 'yield-shoulder'],
                [110, 'girth-rope'],
                [118, 'foot-front'],
              ] as const
            ).map(([days, step], i) => ({
              kind: 'attention-lost' as const,
              on: ago(days),
              step,
              side: i === 2 ? ('left' as const) : ('right' as const),
              where: 'Arena, the far end',
              before: 'Something moved behind her on that side',
              after: 'Waited until an ear came back, asked a rung smaller',
            })),
          ],
          handOver: ['lead-up', 'tie', 'foot-front', 'foot-hind', 'load', 'strange-places'],
        },
      },
    ),
    horse(
      47,
      {
        name: 'Yarrow',
        months: 47,
        sex: 'mare',
        kind: 'horse',
        marks: 'Palomino, snip',
        origin: 'Bred next door',
        handled: true,
        arrivedAgo: 70,
      },
      {
        ways: { speed: 0.5, ability: 1.8, calm: 1.2 },
        spells: [{ work: { sessions: 20 }, every: 2, endsBefore: 9 }],
        records: {
          checks: [
            hold(8, 12, 'Lame off fore, abscess opened'),
            look('feet', 8, { note: 'The farrier found it', passed: false }),
          ],
        },
      },
    ),
    horse(
      53,
      {
        name: 'Teal',
        months: 14,
        sex: 'filly',
        kind: 'horse',
        marks: 'Brown, star and snip, still fluffy',
        origin: 'Handling block: ten short sessions, then back to grass',
        handled: false,
        arrivedAgo: 17,
      },
      {
        ways: { speed: 0.45, ability: 1.2, calm: 1 },
        spells: [{ work: { sessions: 7 }, every: 2, endsBefore: 1 }],
        records: {
          checks: [look('worming', 16), look('feet', 15, { note: 'Trimmed, stood well enough' })],
          blocks: [block('handling', [17])],
        },
      },
    ),
    horse(
      7,
      {
        name: 'Whin',
        months: 28,
        estimate: { lowMonths: 20, highMonths: 34, on: ago(2), how: 'by her milk teeth' },
        feral: true,
        sex: 'filly',
        kind: 'horse',
        marks: 'Black bay, no white',
        origin: 'Off the reserve this week',
        handled: false,
        arrivedAgo: 2,
      },
      {
        ways: { speed: 0.35, ability: 0, calm: -0.3 },
        spells: [],
        records: { school: 'stand-first', blocks: [block('handling', [2])] },
      },
    ),
  ]
}

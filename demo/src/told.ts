import { PutEntry } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import { seededDraw } from './draw'
import type { DemoHorse } from './scenario'

type Told = Readonly<Record<string, unknown>> & { readonly ago: number }

/** Days before today on which it went on the line: none of the last week, which keeps its load days as they were. */
const ON_THE_LINE = [40, 37, 34, 30, 27, 23, 20, 16, 13, 11, 9, 8]

const half = (value: number): number => Math.round(2 * value) / 2

/** One session on the lunge: walk, trot, the other rein, from a made-up thumb; the swing comes with the weeks. */
const lunged = (ago: number, seed: number, way: 'lunge' | 'lines'): Told => {
  const draw = seededDraw(seed * 100 + ago)
  for (let i = 0; i < 20; i++) draw()
  const [walk, left, right] = [60 + 30 * draw(), 240 + 90 * draw(), 200 + 90 * draw()].map(half) as [
    number,
    number,
    number,
  ]
  const change = walk + left
  const end = change + 8 + walk + right
  const swing = ago < 14 ? 3 : 2
  return {
    ago,
    kind: 'line-work',
    way,
    rein: 'left',
    diameterM: 18,
    presses: [
      { at: 2, key: 'forward' },
      { at: walk, key: 'forward' },
      { at: change, key: 'back' },
      { at: change + 2, key: 'back' },
      { at: change + 6, key: 'back' },
      { at: change + 8, key: 'forward' },
      { at: change + 8 + walk, key: 'forward' },
    ],
    endAt: end,
    going: [
      { minute: half(walk / 60 + 2), rein: 'left', swing, stretch: 2 },
      { minute: half((change + walk) / 60 + 2), rein: 'right', swing, stretch: 1 },
    ],
    stretchSeconds: { left: half(110 + 40 * draw()), right: half(190 + 50 * draw()) },
  }
}

const cue = (
  [meaning, channel, place, rhythm, where]: readonly [string, string, string, string, string],
  change: object = {},
): Told => ({ ago: 30, kind: 'cue', meaning, channel, place, rhythm, where, ...change })

const shown = (ago: number, [thing, where]: readonly [string, string], change: object = {}): Told => ({
  ago,
  kind: 'thing',
  thing,
  where,
  good: true,
  side: 'both',
  ...change,
})

const HANGS_BACK = 'hangs back at the foot of the ramp'

const hangingBack = (ago: number, repair: string, worked: boolean): Told => ({
  ago,
  kind: 'repair',
  step: 'load',
  fault: HANGS_BACK,
  repair,
  worked,
})

/** Days before today, minutes in all and minutes of trot: each a little more than the one before. */
const RIDES = [
  [33, 3, 0],
  [30, 4, 0],
  [26, 5, 0.5],
  [22, 6, 1],
  [18, 6, 1],
  [14, 7.5, 1],
  [11, 9, 1],
  [8, 10, 1.5],
] as const

const ridden = (
  ago: number,
  { total, trot, went }: { total: number; trot: number; went: 'well' | 'so-so' },
): Told => ({
  ago,
  kind: 'ride',
  rider: 'Ylva Tarn',
  helper: 'Orm Fjell',
  groundMinutes: 12,
  went,
  ended: went === 'well' ? 'on a good stop' : 'it looked for the gate',
  rows: [
    { rein: 'straight', gait: 'walk', minutes: total - 2 * trot > 0 ? total - trot : total },
    { rein: 'left', gait: 'trot', minutes: trot / 2 },
    { rein: 'right', gait: 'trot', minutes: trot / 2 },
  ],
})

const OF: Readonly<Record<string, (seed: number) => readonly Told[]>> = {
  Sedge: () => [
    cue(['whoa', 'voice', 'ho', 'once', 'both'], { ofYard: true }),
    cue(['go', 'voice', 'a cluck', 'once', 'both'], { ofYard: true }),
    {
      ago: 30,
      kind: 'tool',
      tool: 'flag',
      drives: true,
      accepted: true,
      tellApart: ['body turned away'],
      ofYard: true,
    },
  ],
  Lapwing: () => [
    {
      ago: 60,
      kind: 'own-fault',
      step: 'load',
      fault: HANGS_BACK,
      repair: 'Two steps back, and ask again.',
      ofYard: true,
    },
    ...[50, 47, 41, 36, 30, 24, 18].map((ago, i) =>
      hangingBack(ago, 'Two steps back, and ask again.', i > 0),
    ),
    ...[44, 33, 26, 15, 12].map((ago, i) => hangingBack(ago, 'A smaller rung', i % 3 === 0)),
  ],
  Bramble: (seed) => ON_THE_LINE.filter((_, i) => i % 2 === 0).map((ago) => lunged(ago, seed, 'lines')),
  Curlew: (seed) => [
    ...ON_THE_LINE.map((ago) => lunged(ago, seed, 'lunge')),
    ...RIDES.map(([ago, total, trot], i) => ridden(ago, { total, trot, went: i === 3 ? 'so-so' : 'well' })),
    {
      ago: 60,
      kind: 'tack',
      saddle: 'Brown trail saddle',
      pad: 'Felt',
      bridle: 'Plain, brown',
      bit: 'Single joint, loose rings',
      mouthMm: 122,
      girthHole: 4,
      lineM: 10,
    },
    ...[140, 136, 133, 129, 126, 122, 119, 115, 112, 108, 105, 101].map((ago) => ({
      ago,
      kind: 'bit-carry',
      minutes: 20,
      quietMinutes: 19,
    })),
    { ago: 20, kind: 'rider', who: 'The daughter', kg: 54, tackKg: 9 },
    cue(['over', 'stick', 'ribs', 'pulse', 'ground'], { step: 'yield-hind' }),
    cue(['go on', 'leg', 'ribs', 'pulse', 'ridden'], { step: 'ride-go-stop' }),
    cue(['back', 'rope', 'under the chin', 'pulse', 'ground'], { step: 'step-back' }),
    shown(120, ['Tarp', 'Round pen']),
    shown(64, ['Tractor', 'Lake road']),
    shown(33, ['Water tray', 'Long track'], { side: 'left' }),
    shown(19, ['Poultry', 'Lake road'], { good: false }),
    shown(6, ['Poultry', 'Lake road']),
    shown(4, ['Bicycle', 'Lake road']),
    { ago: 150, kind: 'care', care: 'vaccination', minDays: 150, maxDays: 180 },
    { ago: 3, kind: 'care', care: 'stretches' },
  ],
  Teal: () => [
    { ago: 12, kind: 'goal', goal: 'Feet', bursts: 12, place: 0 },
    { ago: 12, kind: 'goal', goal: 'Halter and leading', bursts: 10, place: 1 },
    { ago: 12, kind: 'goal', goal: 'Loading', bursts: 10, place: 2 },
  ],
}

/** What the made-up yard tells of a horse beside its answers, of days since it came. */
export const toldOf = ({ form, seed }: DemoHorse, today: Day): readonly PutEntry[] =>
  (OF[form.name]?.(seed) ?? [])
    .map(({ ago, ...entry }) => PutEntry.parse({ ...entry, on: addDays(today, -ago) }))
    .filter(({ on }) => on >= form.arrived)

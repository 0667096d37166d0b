import type { Passport } from '@still-pine/contract'
import { INCIDENT_WORDS } from '@still-pine/core/facts'

export interface PassportPart {
  readonly title: string
  readonly lines: readonly string[]
  /** Said where there are none. */
  readonly none: string
}

const sided = (side: Passport['promised'][number]['side']): string => (side === 'none' ? '' : `, ${side}`)

const may = (minutes: number | null): string => String(Math.floor(2 * (minutes ?? 0) + 1e-9) / 2)

/** "10 of 12 hold: Not yet." */
export const verdictWords = ({ verdict: { of, held, says } }: Passport): string =>
  of === 0
    ? 'Nothing was promised: choose at the gate what it is to leave with.'
    : `${held} of ${of} hold: ${says === 'go' ? 'Go' : 'Not yet'}.`

const promiseWords = ({ name, side, rung, holds, lastAsked, why }: Passport['promised'][number]): string =>
  [
    `${name}${sided(side)}: “${rung}”`,
    holds ? 'holds' : why,
    holds && lastAsked !== null ? `last asked ${lastAsked}` : '',
  ]
    .filter(Boolean)
    .join(', ')

const RHYTHM_WORDS = { once: 'once', steady: 'steady', pulse: 'in pulses' } as const
const WHERE_WORDS = { ground: 'from the ground', ridden: 'ridden', both: 'ground and ridden' } as const

/** "over: stick, ribs, in pulses, 2 times; from the ground". */
const cueWords = ({
  meaning,
  channel,
  place,
  side,
  rhythm,
  count,
  where,
}: Passport['cues'][number]): string => {
  const signal = [
    channel === 'voice' ? `voice “${place}”` : `${channel}, ${place}`,
    side === 'both' ? '' : side,
    RHYTHM_WORDS[rhythm],
    count === 1 ? '' : `${count} times`,
  ]
  return `${meaning}: ${signal.filter(Boolean).join(', ')}; ${WHERE_WORDS[where]}`
}

const HURT_WORDS = { none: '', person: ', a person was hurt', horse: ', the horse was hurt' } as const

const incidentWords = ({ kind, on, mounted, hurt, where, after }: Passport['incidents'][number]): string =>
  [
    `${on}: ${INCIDENT_WORDS[kind]}${mounted ? ' under a person' : ''}${HURT_WORDS[hurt]}`,
    where && `Where: ${where}`,
    after && `After: ${after}`,
  ]
    .filter(Boolean)
    .join('. ')

const told = (name: string, value: string | number | null, unit = ''): readonly string[] =>
  value === null || value === '' ? [] : [`${name}: ${value}${unit}`]

const ridesWords = ({
  ridden,
  lastOn,
  nextMinutes,
  nextTrotMinutes,
  nextCanterMinutes,
}: Passport['rides']) =>
  ridden === 0
    ? []
    : [
        `${ridden} ridden, the last on ${lastOn!}.`,
        `The next one here would be ${may(nextMinutes)} minutes, ${may(nextTrotMinutes)} of trot, ${may(nextCanterMinutes)} of canter.`,
      ]

/** A passport part by part, as it is read on a page and on paper. */
export const passportParts = (passport: Passport): readonly PassportPart[] => {
  const { promised, cues, kit, sizes, rides, incidents, firstWeek, notTo } = passport
  return [
    {
      title: 'What was promised',
      lines: promised.map(promiseWords),
      none: 'Nothing was promised.',
    },
    { title: 'The first week', lines: firstWeek, none: '' },
    { title: 'What not to do', lines: notTo, none: 'Nothing stands against anything it was shown.' },
    { title: 'How it is asked', lines: cues.map(cueWords), none: 'No cue book was kept.' },
    {
      title: 'Kit and sizes',
      lines: [
        ...told('Saddle', kit.saddle),
        ...told('Pad', kit.pad),
        ...told('Girth hole', kit.girthHole),
        ...told('Bridle', kit.bridle),
        ...told('Bit', kit.bit),
        ...told('Mouth', kit.mouthMm, ' mm'),
        ...told('Line', kit.lineM, ' m'),
        ...told('Withers', sizes.withersCm, ' cm'),
        ...told('Girth', sizes.girthCm, ' cm'),
        ...told('Weight', sizes.weightKg, ' kg'),
      ],
      none: 'Neither kit nor sizes were told. A saddle is checked anew on any horse.',
    },
    { title: 'Rides', lines: ridesWords(rides), none: 'Nobody has ridden it.' },
    {
      title: 'What happened',
      lines: incidents.map(incidentWords),
      none: 'No incident is recorded.',
    },
  ]
}

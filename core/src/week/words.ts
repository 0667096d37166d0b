import { count, type Day } from '../answer'
import type { Match, Pin, Visit, WeekAsked, WeekHorse, Wish } from './asked'
import type { Lacking } from './lacking'
import type { Clash } from './musts'
import type { Must } from './model'
import type { WeekPlan } from './plan'
import { isLoadVisit, loadDaysAllowed, type RuleId } from './rules'

const SAME = 1e-6

const workDays = (days: number): string => {
  const tenths = Math.round(10 * days) / 10
  return tenths === 1 ? '1 work day' : `${tenths} work days`
}

/** How far a plan may be from the best there is, in work days and never in percent. */
export const gapWords = ({
  objective,
  bound,
  status,
}: Pick<WeekPlan, 'objective' | 'bound' | 'status'>): string => {
  if (!Number.isFinite(bound)) return 'Not yet known how good this is; still looking.'
  const short = bound - objective
  const best =
    short <= SAME
      ? 'No better week exists.'
      : `At most ${workDays(Math.max(0.1, short))} of ${Math.round(Math.abs(bound))} short of the best there can be.`
  return status === 'stopped' ? `${best} Stopped by the clock; another run may differ.` : best
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']

export const weekdayOf = (day: Day): string => WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()]!

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? id

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

const pinWords = (
  asked: WeekAsked,
  { horse, day, part, start, use, lead, helper, place, due }: Pin,
): string =>
  [
    `${nameIn(asked.horses, horse)} on ${weekdayOf(day)}`,
    due ? 'for what is due' : '',
    start ? `at ${start}` : part ? `in the ${part}` : '',
    use ? `for ${use} work` : '',
    lead ? `with ${nameIn(asked.people, lead)}` : '',
    helper ? `helped by ${nameIn(asked.people, helper)}` : '',
    place ? `in ${nameIn(asked.places, place)}` : '',
  ]
    .filter(Boolean)
    .join(' ')

const matchWords = (asked: WeekAsked, match: Match): string =>
  [
    match.horses ? listed(match.horses.map((id) => nameIn(asked.horses, id))) : 'any horse',
    match.uses ? `for ${listed(match.uses)}` : '',
    match.days ? `on ${listed(match.days.map(weekdayOf))}` : '',
    match.parts ? `in the ${listed(match.parts)}` : '',
    match.conditions ? `when it is ${listed(match.conditions)}` : '',
    match.leads ? `with ${listed(match.leads.map((id) => nameIn(asked.people, id)))}` : '',
    match.helpers ? `helped by ${listed(match.helpers.map((id) => nameIn(asked.people, id)))}` : '',
    match.people ? `with ${listed(match.people.map((id) => nameIn(asked.people, id)))} there` : '',
    match.places ? `in ${listed(match.places.map((id) => nameIn(asked.places, id)))}` : '',
  ]
    .filter(Boolean)
    .join(' ')

const wishWords = (asked: WeekAsked, wish: Wish): string => {
  const what = matchWords(asked, wish.match)
  if (wish.kind === 'avoid') return `never ${what}`
  if (wish.kind === 'only') return `${what} only ${matchWords(asked, wish.then).replace(/^any horse /, '')}`
  if (wish.kind === 'pin') return what
  const least = wish.least ? `at least ${wish.least}` : ''
  const most = wish.most === undefined || wish.most === null ? '' : `at most ${wish.most}`
  return `${[least, most].filter(Boolean).join(' and ')} of ${what}`
}

/** What somebody must have, in words. */
export const mustWords = (asked: WeekAsked, must: Must): string =>
  'pin' in must ? pinWords(asked, must.pin) : wishWords(asked, must.wish)

const ageWords = (horse: WeekHorse, day: Day): string => {
  const most = loadDaysAllowed(horse, day)
  return horse.born === null
    ? `of ${horse.name} the age is not known, so it has ${count(most, 'load day')} in any seven`
    : `${horse.name} has ${most === 0 ? 'no load day' : count(most, 'load day')} in any seven at its age`
}

const ruleWords = (asked: WeekAsked, id: RuleId): string => {
  const [rule, of = ''] = id.split(/:(.*)/s) as [string, string | undefined]
  const horse = asked.horses.find((one) => one.id === of)
  const person = nameIn(asked.people, of)
  const name = horse?.name ?? of
  const words: Readonly<Record<string, string>> = {
    hold: `${name} is on a veterinary hold`,
    block: `${name} is left to grow or rest`,
    loadDays: horse ? ageWords(horse, asked.firstDay) : '',
    hardDay: `${name} rests after a hard day`,
    twoLoadDays: `${name} is spared two load days running`,
    visitsAtMost: `${name} gets no more visits than are wanted`,
    notFree: `${name} is not free then`,
    window: `${person} is not there then`,
    roles: `${person} does not do that`,
    mostMinutes: `${person} has only so many minutes a day`,
    place: 'no place that suits it is free then',
  }
  return words[rule] ?? id
}

/** "Sedge on Thursday cannot be had: Sedge on Monday is kept, and Sedge has 3 load days in any seven at its age." */
export const clashWords = (asked: WeekAsked, { must, with: others }: Clash): string => {
  const kept = others.flatMap((one) => (typeof one === 'string' ? [] : [mustWords(asked, one)]))
  const rules = others.flatMap((one) => (typeof one === 'string' ? [ruleWords(asked, one)] : []))
  const because = [
    ...(kept.length > 0 ? [`${listed(kept)} ${kept.length === 1 ? 'is' : 'are'} kept`] : []),
    ...rules,
  ]
  const why = because.length === 0 ? 'it fits no part of that day' : listed(because)
  const what = mustWords(asked, must)
  return `${what[0]!.toUpperCase()}${what.slice(1)} cannot be had: ${why}.`
}

/** "Sedge gets 2 of 3: Sedge has 3 load days in any seven at its age." */
export const lackingWords = (asked: WeekAsked, { horse, got, wanted, rule }: Lacking): string => {
  const why =
    rule === null
      ? 'what is open is worth more elsewhere'
      : rule === 'people'
        ? 'everybody who may is at another horse'
        : rule === 'places'
          ? 'every place that suits it is taken'
          : ruleWords(asked, rule)
  return `${nameIn(asked.horses, horse)} gets ${got} of ${wanted}: ${why}.`
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth']

/** Why a visit stands where it does: what it saves, whose only day it is, which load day it makes. */
export const reasonsOf = (asked: WeekAsked, visit: Visit, visits: readonly Visit[]): readonly string[] => {
  const horse = asked.horses.find(({ id }) => id === visit.horse)!
  const onlyDay = [visit.lead, ...(visit.helper === null ? [] : [visit.helper])].flatMap((id) => {
    const person = asked.people.find((one) => one.id === id)!
    const days = new Set(person.windows.map(({ day }) => day))
    return days.size === 1 ? [`${person.name} is there only then`] : []
  })
  if (visit.option === null) {
    const due = asked.dues.find(({ id }) => id === visit.due)!
    return [...onlyDay, `due by ${weekdayOf(due.dueDay)} ${due.dueDay}`]
  }
  const option = horse.options[visit.option]!
  const loads = visits.filter(
    (one) => one.horse === horse.id && one.option !== null && isLoadVisit(horse.options[one.option]!),
  )
  const nth = loads.findIndex(({ day }) => day === visit.day)
  return [
    ...onlyDay,
    ...(nth >= 0
      ? [
          `the ${ORDINALS[nth] ?? `${nth + 1}th`} load day of the week; ${loadDaysAllowed(horse, visit.day)} in any seven at its age`,
        ]
      : []),
    `saves ${workDays(option.savedDays * horse.urgency)}`,
  ]
}

import type { Visit, WeekAsked, Window } from '../src/week'

// Written for the tests alone, from the rules in words: it shares no code with the planner.

const minute = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))
const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000)

const months = (born: string, day: string): number => {
  const [y1, m1, d1] = born.split('-').map(Number) as [number, number, number]
  const [y2, m2, d2] = day.split('-').map(Number) as [number, number, number]
  return 12 * (y2 - y1) + (m2 - m1) - (d2 < d1 ? 1 : 0)
}

/** What a plan does against the rules; nothing where it obeys them all. */
export const brokenRules = (asked: WeekAsked, visits: readonly Visit[]): readonly string[] => {
  const broken: string[] = []
  const say = (words: string): void => void broken.push(words)
  const span = (visit: Visit) => ({
    from: minute(visit.start),
    to: minute(visit.start) + visit.slots * asked.slotMinutes,
  })
  const covers = (windows: readonly Window[], visit: Visit): boolean => {
    const { from, to } = span(visit)
    return windows.some((w) => w.day === visit.day && minute(w.from) <= from && to <= minute(w.to))
  }
  const meets = (windows: readonly Window[], visit: Visit): boolean => {
    const { from, to } = span(visit)
    return windows.some((w) => w.day === visit.day && minute(w.from) < to && from < minute(w.to))
  }
  for (const visit of visits) {
    const horse = asked.horses.find(({ id }) => id === visit.horse)!
    const due = asked.dues.find(({ id }) => id === visit.due)
    const option = visit.option === null ? undefined : horse.options[visit.option]!
    const roles = due?.roles ?? option!.roles
    const place = asked.places.find(({ id }) => id === visit.place)!
    const part = asked.parts.find(({ id }) => id === visit.part)!
    const { from, to } = span(visit)
    const needed = (due?.minutes ?? option!.minutes) + asked.changeoverMinutes + 2 * place.travelMinutes
    if (to - from < needed) say(`${visit.horse}: too short`)
    if (from < minute(part.from) || to > minute(part.to)) say(`${visit.horse}: over the end of its part`)
    if (from % asked.slotMinutes !== 0) say(`${visit.horse}: between two slots`)
    const crew = [visit.lead, ...(visit.helper === null ? [] : [visit.helper])]
    if (crew.length !== roles.length || new Set(crew).size !== crew.length)
      say(`${visit.horse}: wrong number of people`)
    crew.forEach((id, i) => {
      const person = asked.people.find((one) => one.id === id)!
      if (!person.roles.includes(roles[i]!)) say(`${id}: not in this role`)
      if (!covers(person.windows, visit)) say(`${id}: not there`)
      if (meets(person.busy, visit)) say(`${id}: busy`)
    })
    if (place.windows !== null && !covers(place.windows, visit)) say(`${place.id}: shut`)
    if (meets(horse.notFree, visit)) say(`${visit.horse}: not free`)
    if (due) {
      if (visit.day < due.earliestDay) say(`${due.id}: too early`)
      continue
    }
    if (!place.suits.includes(option!.use)) say(`${place.id}: does not suit`)
    if (['grow', 'rest'].includes(horse.block)) say(`${horse.id}: left alone`)
    if (horse.holds.some((h) => h.from <= visit.day && (h.until === null || visit.day <= h.until)))
      say(`${horse.id}: on hold`)
    const age = horse.born === null ? null : months(horse.born, visit.day)
    if (age !== null && age < 24 && option!.minutes > 15) say(`${horse.id}: too long for its age`)
  }
  for (const [i, a] of visits.entries())
    for (const b of visits.slice(i + 1)) {
      if (a.day !== b.day) continue
      const shared = [
        a.horse === b.horse ? a.horse : '',
        a.place === b.place ? a.place : '',
        ...[a.lead, a.helper].filter((id) => id !== null && (id === b.lead || id === b.helper)),
      ].filter(Boolean)
      const overlap = span(a).from < span(b).to && span(b).from < span(a).to
      if (shared.length > 0 && overlap) say(`${shared.join(', ')}: two things at a time on ${a.day}`)
      if (a.horse === b.horse && a.due === null && b.due === null) say(`${a.horse}: two visits on ${a.day}`)
      if (a.due !== null && a.due === b.due) say(`${a.due}: twice`)
    }
  for (const person of asked.people)
    for (const day of new Set(visits.map((visit) => visit.day))) {
      const theirs = visits.filter((v) => v.day === day && (v.lead === person.id || v.helper === person.id))
      const total = theirs.reduce((sum, { slots }) => sum + slots * asked.slotMinutes, 0)
      if (person.mostMinutesPerDay !== null && total > person.mostMinutesPerDay)
        say(`${person.id}: over their minutes`)
    }
  for (const horse of asked.horses) {
    const work = visits.filter((v) => v.horse === horse.id && v.due === null)
    const optionOf = (visit: Visit) => horse.options[visit.option!]!
    const load = [
      ...horse.loadDays.map(dayNumber),
      ...work.filter((v) => optionOf(v).load || optionOf(v).minutes > 20).map((v) => dayNumber(v.day)),
    ]
    const hard = [
      ...horse.hardDays.map(dayNumber),
      ...work
        .filter((v) => optionOf(v).hard || ['mounting', 'ridden'].includes(optionOf(v).use))
        .map((v) => dayNumber(v.day)),
    ]
    const first = dayNumber(asked.firstDay)
    for (const visit of work) {
      const day = dayNumber(visit.day)
      const age = horse.born === null ? null : months(horse.born, visit.day)
      const most = age === null ? 2 : age < 24 ? 0 : Math.min(5, Math.floor(age / 12))
      const isLoad = load.includes(day)
      if (isLoad && load.filter((d) => d > day - 7 && d <= day).length > most)
        say(`${horse.id}: too many load days to ${visit.day}`)
      const below = asked.rules.noTwoLoadDaysBelowMonths
      if (isLoad && below !== null && (age === null || age < below) && load.includes(day - 1))
        say(`${horse.id}: two load days running`)
      const rest = asked.rules.restAfterHardDay
      if (rest !== 'none' && hard.includes(day - 1) && (rest === 'untouched' || isLoad))
        say(`${horse.id}: no rest after a hard day`)
      if (day < first || day >= first + asked.days) say(`${horse.id}: outside the week`)
    }
    const held = Array.from({ length: asked.days }, (_, i) => first + i).filter((d) =>
      horse.holds.some((h) => dayNumber(h.from) <= d && (h.until === null || d <= dayNumber(h.until))),
    ).length
    const most = horse.visitsAtMost ?? Math.ceil((horse.wantedVisits * (asked.days - held)) / asked.days)
    if (work.length > most) say(`${horse.id}: more visits than are wanted`)
  }
  return broken
}

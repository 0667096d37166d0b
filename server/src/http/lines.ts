import { routes, type Horse, type Line } from '@still-pine/contract'
import { addDays, daysBetween } from '@still-pine/core/answer'
import { planSession } from '@still-pine/core/plan'
import { gateVerdicts, noticesOf, type TrackKey, type Views } from '@still-pine/core/readiness'
import type { Side } from '@still-pine/core/answer'
import type { Router } from 'express'
import { answersOfStep, answersPerDay, workDays } from '../data/answers'
import { overrulesOn } from '../data/care'
import { allHorses } from '../data/horses'
import { factsOf, judgedTracks, programOf } from '../records/judged'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { serve } from './serve'

const trackRows = (views: Views): Line['tracks'] =>
  [...views].map(([key, view]) => {
    const [step, side] = (key as TrackKey).split('/') as [string, Side]
    return { step, side, view: view as Line['tracks'][number]['view'] }
  })

const lineOf = async (yard: Yard, horse: Horse, on: string): Promise<Line> => {
  const program = await programOf(yard, horse)
  const views = await judgedTracks(yard, horse.id, program, on)
  const facts = await factsOf(yard, horse, on)
  return {
    horse,
    day: on,
    tracks: trackRows(views),
    gates: gateVerdicts(program, views, facts, on) as Line['gates'],
    overrules: await overrulesOn(yard.client, horse.id, on),
    plan: planSession(program, views, facts, on) as Line['plan'],
    confirmed: [...facts.confirmed],
    notices: [...noticesOf(facts, on)],
    workDays: await workDays(yard.client, horse.id, on),
    calendarDays: Math.max(0, daysBetween(horse.arrived, on)),
  }
}

const STALE_FROM_DAYS = 10
const WEEK_DAYS = 7

export const lineRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.line, async (yard, { params, query }) =>
    lineOf(yard, await horseOrRefuse(yard, params.horseId), query.on ?? todayIn(yard)),
  )

  serve(router, deps, routes.today, async (yard) => {
    const day = todayIn(yard)
    const counts = await answersPerDay(yard.client, day, day)
    const rows = []
    for (const horse of await allHorses(yard.client)) {
      const { plan } = await lineOf(yard, horse, day)
      rows.push({
        horse,
        plan,
        answersToday: counts.find(({ horseId }) => horseId === horse.id)?.answers ?? 0,
      })
    }
    return { day, rows }
  })

  serve(router, deps, routes.week, async (yard) => {
    const today = todayIn(yard)
    const days = Array.from({ length: WEEK_DAYS }, (_, i) => addDays(today, i - WEEK_DAYS + 1))
    const counts = await answersPerDay(yard.client, days[0]!, today)
    const rows = []
    for (const horse of await allHorses(yard.client)) {
      const program = await programOf(yard, horse)
      const views = await judgedTracks(yard, horse.id, program, today)
      const stale = trackRows(views).flatMap(({ step, side, view }) => {
        const since = view.lastDay === null ? 0 : daysBetween(view.lastDay, today)
        const name = program.steps.find(({ key }) => key === step)!.name
        const matters = view.state === 'rusty' || (view.state === 'solid' && since >= STALE_FROM_DAYS)
        return matters ? [{ name, side, days: since }] : []
      })
      const answersOn = (day: string): number =>
        counts.find((count) => count.horseId === horse.id && count.day === day)?.answers ?? 0
      rows.push({
        horseId: horse.id,
        horseName: horse.name,
        days: days.map((day) => ({ day, answers: answersOn(day) })),
        goingStale: stale.sort((a, b) => b.days - a.days),
      })
    }
    return { days, rows }
  })

  serve(router, deps, routes.stepAnswers, async (yard, { params, query }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    return { answers: await answersOfStep(yard.client, horse.id, params.step, query.before) }
  })
}

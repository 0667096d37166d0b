import { routes } from '@still-pine/contract'
import { trackRows } from '@still-pine/contract/line'
import { addDays, daysBetween } from '@still-pine/core/answer'
import type { Router } from 'express'
import { answersOfStep, answersPerDay, evidenceOf, lastSpots, workedRows } from '../data/answers'
import { toldToday } from '../data/days'
import { allHorses } from '../data/horses'
import { circumstancesOf } from '../data/sessions'
import { carryOf } from '../records/carry'
import { stepEvidenceOf } from '../records/evidence'
import { judgedTracks, programOf } from '../records/judged'
import { lineOf } from '../records/line'
import { todayIn } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { serve } from './serve'

const STALE_FROM_DAYS = 10
const WEEK_DAYS = 7

export const lineRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.line, async (yard, { params, query }) =>
    lineOf(yard, await horseOrRefuse(yard, params.horseId), query.on ?? todayIn(yard)),
  )

  serve(router, deps, routes.carry, async (yard, { params, query }) =>
    carryOf(yard, await horseOrRefuse(yard, params.horseId), query),
  )

  serve(router, deps, routes.spots, async (yard, { params }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    return { day: todayIn(yard), spots: await lastSpots(yard.client, horse.id) }
  })

  serve(router, deps, routes.worked, async (yard, { params }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    return { day: todayIn(yard), rows: await workedRows(yard.client, horse.id) }
  })

  serve(router, deps, routes.today, async (yard) => {
    const day = todayIn(yard)
    const counts = await answersPerDay(yard.client, day, day)
    const told = await toldToday(yard.client, { day, engine: yard.engine })
    const rows = []
    const horses = await allHorses(yard.client)
    for (const horse of horses.filter(({ archived }) => archived === null)) {
      const { plan, shut } = told.get(horse.id) ?? (await lineOf(yard, horse, day))
      rows.push({
        horse,
        plan,
        shut,
        answersToday: counts.find(({ horseId }) => horseId === horse.id)?.answers ?? 0,
      })
    }
    return { day, rows, gone: horses.filter(({ archived }) => archived !== null) }
  })

  serve(router, deps, routes.week, async (yard) => {
    const today = todayIn(yard)
    const days = Array.from({ length: WEEK_DAYS }, (_, i) => addDays(today, i - WEEK_DAYS + 1))
    const counts = await answersPerDay(yard.client, days[0]!, today)
    const rows = []
    for (const horse of (await allHorses(yard.client)).filter(({ archived }) => archived === null)) {
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

  serve(router, deps, routes.stepEvidence, async (yard, { params }) =>
    stepEvidenceOf(yard, await horseOrRefuse(yard, params.horseId), params.step),
  )

  serve(router, deps, routes.evidence, async (yard, { params }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    return {
      day: todayIn(yard),
      answers: await evidenceOf(yard.client, horse.id),
      sessions: await circumstancesOf(yard.client, horse.id),
    }
  })

  serve(router, deps, routes.stepAnswers, async (yard, { params, query }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    return { answers: await answersOfStep(yard.client, horse.id, params.step, query.before) }
  })
}

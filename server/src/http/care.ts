import { routes } from '@still-pine/contract'
import { stepOf } from '@still-pine/core/program'
import { gateVerdict } from '@still-pine/core/readiness'
import type { Router } from 'express'
import {
  checksOf,
  incidentsOf,
  saveCheck,
  saveIncident,
  insertOverrule,
  overrulesOn,
  saveConfirmed,
} from '../data/care'
import { factsOf, judgedTracks, programOf } from '../records/judged'
import { todayIn } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { notFound, Refusal } from './refusal'
import { serve } from './serve'

const inTheFuture = (path: string): Refusal =>
  new Refusal('bad-input', 'This day is still to come.', {
    fields: [{ path, message: 'This day is still to come.' }],
  })

export const careRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.checks, async (yard, { params }) => {
    await horseOrRefuse(yard, params.horseId)
    return { checks: await checksOf(yard.client, params.horseId) }
  })

  serve(router, deps, routes.putCheck, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    if (body.on > todayIn(yard)) throw inTheFuture('on')
    await saveCheck(yard.client, { ...yard, horseId: horse.id }, params.checkId, body)
    const kept = (await checksOf(yard.client, horse.id)).find(({ id }) => id === params.checkId)
    if (!kept) throw notFound('This check')
    return kept
  })

  serve(router, deps, routes.incidents, async (yard, { params }) => {
    await horseOrRefuse(yard, params.horseId)
    return { incidents: await incidentsOf(yard.client, params.horseId) }
  })

  serve(router, deps, routes.putIncident, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    if (body.on > todayIn(yard)) throw inTheFuture('on')
    if (body.step !== null && !stepOf(await programOf(yard, horse), body.step))
      throw new Refusal('bad-input', 'This step is not in the horse’s program.', {
        fields: [{ path: 'step', message: 'This step is not in the horse’s program.' }],
      })
    await saveIncident(yard.client, { ...yard, horseId: horse.id }, params.incidentId, body)
    const kept = (await incidentsOf(yard.client, horse.id)).find(({ id }) => id === params.incidentId)
    if (!kept) throw notFound('This incident')
    return kept
  })

  serve(router, deps, routes.putConfirmations, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    if (params.day !== todayIn(yard))
      throw new Refusal('bad-input', 'This is confirmed at the pen, for today only.', {
        fields: [{ path: 'params.day', message: 'Only today can be confirmed.' }],
      })
    await saveConfirmed(yard.client, { ...yard, horseId: horse.id }, params.day, body.confirmed)
    return body
  })

  serve(router, deps, routes.putOverrule, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    const day = todayIn(yard)
    const program = await programOf(yard, horse)
    const gate = program.gates.find(({ key }) => key === body.gate)
    if (!gate) throw notFound('This gate')
    const views = await judgedTracks(yard, horse.id, program, day)
    const { verdict } = gateVerdict(program, gate, views, await factsOf(yard, horse, day), day)
    if (verdict === 'stop') throw new Refusal('not-allowed', 'A Stop cannot be overruled.')
    if (verdict === 'go') throw new Refusal('bad-input', 'The gate says Go: there is nothing to overrule.')
    const overrule = {
      id: params.overruleId,
      gate: gate.key,
      day,
      verdict,
      reason: body.reason,
      at: yard.now,
    }
    await insertOverrule(yard.client, { ...yard, horseId: horse.id }, overrule)
    const kept = (await overrulesOn(yard.client, horse.id, day)).find(({ id }) => id === params.overruleId)
    if (!kept) throw notFound('This overrule')
    return kept
  })
}

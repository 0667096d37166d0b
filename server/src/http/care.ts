import { routes, type Horse } from '@still-pine/contract'
import { knownStep } from '@still-pine/core/program'
import { gateVerdict } from '@still-pine/core/readiness'
import type { Router } from 'express'
import {
  checksOf,
  incidentsOf,
  insertOverrule,
  overrulesOn,
  saveConfirmed,
  takeBackOverrule,
} from '../data/care'
import { careFault, putCheck, putIncident } from '../records/care'
import { factsOf, judgedTracks, programOf } from '../records/judged'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { notFound, Refusal } from './refusal'
import { serve } from './serve'

const field = (path: string, message: string): Refusal =>
  new Refusal('bad-input', message, { fields: [{ path, message }] })

const checkDay = (yard: Yard, horse: Horse, on: string): void => {
  const fault = careFault(yard, horse, on)
  if (fault) throw field('on', fault)
}

export const careRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.checks, async (yard, { params }) => {
    await horseOrRefuse(yard, params.horseId)
    return { checks: await checksOf(yard.client, params.horseId) }
  })

  serve(router, deps, routes.putCheck, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    checkDay(yard, horse, body.on)
    const kept = await putCheck(yard, horse.id, params.checkId, body)
    if (!kept) throw notFound('This check')
    return kept
  })

  serve(router, deps, routes.incidents, async (yard, { params }) => {
    await horseOrRefuse(yard, params.horseId)
    return { incidents: await incidentsOf(yard.client, params.horseId) }
  })

  serve(router, deps, routes.putIncident, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    checkDay(yard, horse, body.on)
    if (body.step !== null && !knownStep(await programOf(yard, horse), body.step))
      throw new Refusal('bad-input', 'This step is not in the horse’s program.', {
        fields: [{ path: 'step', message: 'This step is not in the horse’s program.' }],
      })
    const kept = await putIncident(yard, horse.id, params.incidentId, body)
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
    if (body.takenBack) {
      await takeBackOverrule(yard.client, params.overruleId, yard.now)
      const taken = (await overrulesOn(yard.client, horse.id, day)).find(({ id }) => id === params.overruleId)
      if (!taken) throw notFound('This overrule of today')
      return taken
    }
    const views = await judgedTracks(yard, horse.id, program, day)
    const { verdict } = gateVerdict(program, gate, views, await factsOf(yard, horse, program, day), day)
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

import { routes, type Horse } from '@still-pine/contract'
import { knownStep } from '@still-pine/core/program'
import { gateVerdict } from '@still-pine/core/readiness'
import type { Router } from 'express'
import { insertOverrule, overrulesOn, saveConfirmed, takeBackOverrule } from '../data/care'
import { putCheck, putIncident } from '../records/care'
import { readOf } from '../parts'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { notFound, pastDayFault, Refusal, refusedFor } from '@still-pine/use-cases'
import { serve } from './serve'

const checkDay = (yard: Yard, horse: Horse, on: string): void => {
  const fault = pastDayFault(todayIn(yard), horse, on)
  if (fault) throw refusedFor('on', fault)
}

export const careRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.putCheck, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    checkDay(yard, horse, body.on)
    const kept = await putCheck(yard, horse.id, params.checkId, body)
    if (!kept) throw notFound('This check')
    return kept
  })

  serve(router, deps, routes.putIncident, async (yard, { params, body }) => {
    const horse = await horseOrRefuse(yard, params.horseId)
    checkDay(yard, horse, body.on)
    if (body.step !== null && !knownStep(await readOf(yard, params)('program'), body.step))
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
    const read = readOf(yard, params)
    const program = await read('program')
    const gate = program.gates.find(({ key }) => key === body.gate)
    if (!gate) throw notFound('This gate')
    if (body.takenBack) {
      await takeBackOverrule(yard.client, params.overruleId, yard.now)
      const taken = (await overrulesOn(yard.client, horse.id, day)).find(({ id }) => id === params.overruleId)
      if (!taken) throw notFound('This overrule of today')
      return taken
    }
    const { verdict } = gateVerdict(program, gate, await read('views'), await read('facts'), day)
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

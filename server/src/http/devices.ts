import { routes } from '@still-pine/contract'
import type { Router } from 'express'
import { setCutOff } from '../data/devices'
import type { Dependencies } from './dependencies'
import { notFound } from '@still-pine/use-cases'
import { serve } from './serve'

export const deviceRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.putCutOff, async ({ client, personId, role, now }, { params, body }) => {
    // Whoever finds a lost phone must not let it back.
    const may = role === 'starter' || (params.personId === personId && body.cutOff)
    const found = may && (await setCutOff(client, params.personId, params.deviceId, body.cutOff ? now : null))
    if (!found) throw notFound('This device')
    return { ok: true as const }
  })
}

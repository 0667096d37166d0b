import { randomBytes } from 'node:crypto'
import type { About, Me } from '@still-pine/contract'
import { Api } from './api'
import { fill } from './fill'
import { idMaker, startOf } from './ids'
import { DEMO_HELPER, DEMO_YARD } from './scenario'

const HELPER_SEED = 13

/** Brings the helper into the yard; a loading that was broken off gives them a new password. */
const helperOf = async (starter: Api, address: string, me: Me): Promise<Api> => {
  const password = randomBytes(18).toString('base64url')
  await starter.ask('PUT', `/people/${idMaker(HELPER_SEED)(startOf(me.today, 0))}`, {
    ...DEMO_HELPER,
    password,
  })
  const helper = new Api(address)
  await helper.ask('POST', '/sign-in', { email: DEMO_HELPER.email, password })
  return helper
}

/** Fills an empty demo server with the made-up yard, through the public API; leaves a full one as it is. */
export const loadDemo = async (address: string, say: (text: string) => void): Promise<void> => {
  const api = new Api(address)
  const { demo, needsFirstRun } = await api.ask<About>('GET', '/about')
  if (!demo) throw new Error('This server is not a demo; nothing was loaded.')
  if (needsFirstRun)
    await api.ask('POST', '/first-run', { ...DEMO_YARD, password: randomBytes(18).toString('base64url') })
  const me = await api.ask<Me>('POST', '/sign-in/demo')
  const helper = await helperOf(api, address, me)
  await fill({ starter: api, helper }, me, (done) => {
    if (done === 0) say('Loading the demo yard …')
  })
}

import type { Me } from '@still-pine/contract'
import { Api } from './api'
import { fill } from './fill'

/** Fills the made-up yard that is signed in to in this browser; tells after each horse how many of them are there. */
export const fillMadeUpYard = async (told: (done: number, of: number) => void): Promise<void> => {
  const api = new Api('')
  const me = await api.ask<Me>('GET', '/me')
  if (!me.yard.demo) throw new Error('This is a yard of somebody’s own; nothing was added.')
  await fill({ starter: api, helper: api }, me, told)
}

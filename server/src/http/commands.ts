import { routes, type Route } from '@still-pine/contract'
import {
  commands,
  readWith,
  type Command,
  type CommandName,
  type Ordered,
  type PartName,
  type Parts,
} from '@still-pine/use-cases'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { hashPassword } from '../auth/passwords'
import { lockHorse } from '../data/horses'
import { lockYard } from '../data/people'
import { askingOf, loadersOf } from '../parts'
import { writeChange } from '../records/write'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { servePrepared } from './serve'

type AnyCommand = Command<CommandName, PartName, PartName>

/** Parts as they are at this moment: nothing read before is read again from memory. */
const partsNow = async (yard: Yard, ordered: Ordered<CommandName>, names: readonly PartName[]) => {
  const read = readWith(loadersOf(yard), ordered)
  const parts: Partial<Record<PartName, unknown>> = {}
  for (const name of names) parts[name] = await read(name)
  return parts as unknown as Parts
}

const hold = async (yard: Yard, { holds }: AnyCommand, { named }: Ordered<CommandName>): Promise<unknown> => {
  if (holds === 'the yard') return lockYard(yard.client, yard.yardId)
  return holds === 'the horse' && named.horseId !== undefined ? lockHorse(yard.client, named.horseId) : null
}

/** Carries a command out: holds what it changes, decides, writes, and tells how things stand then. */
const carryOut = async (yard: Yard, command: AnyCommand, ordered: Ordered<CommandName>): Promise<unknown> => {
  await hold(yard, command, ordered)
  const changes = command.decide(await partsNow(yard, ordered, command.parts), ordered)
  for (const change of changes) await writeChange(yard, change)
  return command.reply(await partsNow(yard, ordered, command.replies), ordered)
}

const passwordIn = (body: object): string | null =>
  'password' in body && typeof body.password === 'string' ? body.password : null

/** Serves everything that can be done to a yard by itself. */
export const commandRoutes = (router: Router, deps: Dependencies): void => {
  for (const name of Object.keys(commands) as CommandName[]) {
    const command = commands[name] as AnyCommand
    servePrepared(router, deps, {
      route: routes[name] as Route,
      prepared: {
        prepare: async ({ body }) => {
          const password = passwordIn(body as object)
          return password === null ? null : hashPassword(password)
        },
        work: (yard, { params, body }, passwordHash) => {
          const asking = askingOf(yard, { ...(params as object), ...command.names?.(body as never) })
          // The named things and the body were read by the route's own schemas.
          const ordered = { ...asking, body, passwordHash, newId: uuid } as Ordered<CommandName>
          return carryOut(yard, command, ordered)
        },
      },
    })
  }
}

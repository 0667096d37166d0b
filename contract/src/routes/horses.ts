import { Arrival, Block, HorseOwner, OwnersReport, PutArrival, PutBlock, PutOwner } from '../blocks'
import { Horse, PutArchived, PutHandOver, PutHorse } from '../horses'
import { Id } from '../primitives'
import { z } from 'zod'
import { horse, route } from './making'

/** Horses and their lives. */
export const horsesRoutes = {
  horse: route({
    method: 'get',
    path: '/horses/{horseId}',
    summary: 'One horse',
    needs: 'read-yard',
    params: horse,
    reply: Horse,
  }),
  putHorse: route({
    method: 'put',
    path: '/horses/{horseId}',
    summary: 'Add a horse or change it',
    needs: 'edit-horse',
    params: horse,
    body: PutHorse,
    reply: Horse,
  }),
  putArchived: route({
    method: 'put',
    path: '/horses/{horseId}/archived',
    summary: 'Say that a horse has left, with the reason, or bring it back',
    needs: 'edit-horse',
    params: horse,
    body: PutArchived,
    reply: Horse,
  }),
  putHandOver: route({
    method: 'put',
    path: '/horses/{horseId}/hand-over',
    summary: 'Tick the steps a horse is to leave with',
    needs: 'edit-horse',
    params: horse,
    body: PutHandOver,
    reply: Horse,
  }),
  arrivals: route({
    method: 'get',
    path: '/horses/{horseId}/arrivals',
    summary: 'The arrival checks of a horse, newest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ arrivals: z.array(Arrival) }),
  }),
  putArrival: route({
    method: 'put',
    path: '/horses/{horseId}/arrivals/{arrivalId}',
    summary: 'Keep what the answers of a day show as an arrival check: what it shows opens the next steps',
    needs: 'edit-horse',
    params: horse.extend({ arrivalId: Id }),
    body: PutArrival,
    reply: Arrival,
  }),
  blocks: route({
    method: 'get',
    path: '/horses/{horseId}/blocks',
    summary: 'The blocks of a horse’s life, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ blocks: z.array(Block) }),
  }),
  putBlock: route({
    method: 'put',
    path: '/horses/{horseId}/blocks/{blockId}',
    summary: 'Open a block, close it (which freezes how the horse stands), or open it again',
    needs: 'edit-horse',
    params: horse.extend({ blockId: Id }),
    body: PutBlock,
    reply: Block,
  }),
  owner: route({
    method: 'get',
    path: '/horses/{horseId}/owner',
    summary: 'Whose horse it is',
    needs: 'read-yard',
    params: horse,
    reply: HorseOwner,
  }),
  putOwner: route({
    method: 'put',
    path: '/horses/{horseId}/owner',
    summary: 'Say whose horse it is, or that it is nobody’s here',
    needs: 'edit-horse',
    params: horse,
    body: PutOwner,
    reply: HorseOwner,
  }),
  reports: route({
    method: 'get',
    path: '/reports',
    summary: 'What an owner is told of their own horses',
    needs: 'read-own-reports',
    reply: z.object({ horses: z.array(OwnersReport) }),
  }),
} as const

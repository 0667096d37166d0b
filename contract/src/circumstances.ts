import {
  NOTHING_NOTED,
  valuesOf,
  type CircumstanceKind,
  type Circumstances,
  type ValueOf,
} from '@still-pine/core/circumstances'
import { z } from 'zod'
import { SideSchema, StepKey, words } from './primitives'

const oneOf = <K extends CircumstanceKind>(kind: K) =>
  z
    .enum(valuesOf(kind).map(([value]) => value) as [ValueOf<K>, ...ValueOf<K>[]])
    .nullable()
    .default(null)

/** How a session was; what is not noted is `null`, and an empty kit. */
export const CircumstancesSchema = z
  .object({
    watching: oneOf('watching'),
    turnout: oneOf('turnout'),
    ground: oneOf('ground'),
    handler: oneOf('handler'),
    hands: oneOf('hands'),
    weather: oneOf('weather'),
    kit: words(200).trim().default(''),
  })
  .default(NOTHING_NOTED) satisfies z.ZodType<Circumstances>

/** One track of the plan that a session set out with. */
export const PromisedAsk = z.object({
  step: StepKey,
  side: SideSchema,
  asks: z.number().int().min(1).max(200),
})

/** What a session set out to do; `null` where it had no plan. */
export const Promised = z.array(PromisedAsk).max(200).nullable().default(null)

export type Promised = z.infer<typeof Promised>
export type PromisedAsk = z.infer<typeof PromisedAsk>

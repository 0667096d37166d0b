import { Id } from '@still-pine/contract'
import { Refusal } from '@still-pine/use-cases'
import type { Request } from 'express'
import { z } from 'zod'

/** The horse that a file is asked of, where one is named. */
export const horseAsked = ({ query }: Request): string | null => {
  const asked = z.object({ horseId: Id.optional() }).safeParse(query)
  if (!asked.success) throw new Refusal('bad-input', 'horseId: this is not an id.')
  return asked.data.horseId ?? null
}

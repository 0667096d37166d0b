import { USES } from '@still-pine/core/program'
import { z } from 'zod'
import { Id, Name, Text, versionFrom } from './primitives'

/** What a pen or a track can be used for. */
export const PLACE_USES = USES

export const PlaceForm = z.object({
  name: Name,
  suits: z.array(z.enum(PLACE_USES)),
  /** Where the horses live: a step proved only here is proved at home only. */
  home: z.boolean(),
  note: Text,
})

export const PutPlace = PlaceForm.extend({ version: versionFrom(0) })

export const Place = PlaceForm.extend({ id: Id, version: z.number().int() })

export type Place = z.infer<typeof Place>
export type PutPlace = z.infer<typeof PutPlace>

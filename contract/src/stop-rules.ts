import type { StopRule } from '@still-pine/core/program'

export const STOP_RULES = [
  'safe-rail',
  'mouth-check',
  'saddle-check',
  'veterinary-hold',
  'age',
  'incident',
  'helper',
  'helmet',
  'company',
  'rider-share',
] as const satisfies readonly StopRule[]

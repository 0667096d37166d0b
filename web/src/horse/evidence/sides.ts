import type { Side } from '@still-pine/core/answer'

/** Sides are told apart by line and by name, never by colour alone. */
export const SIDE_LOOK: Record<
  Side,
  { readonly name: string; readonly colour: string; readonly line: 'solid' | 'dashed' }
> = {
  left: { name: 'left', colour: 'solid', line: 'solid' },
  right: { name: 'right', colour: 'way', line: 'dashed' },
  none: { name: 'first asks', colour: 'solid', line: 'solid' },
}

import { stepOf, type Program } from './program'
import type { Step } from './step'

/** What asks the same on the ground as a step asks from above (common practice, no source). */
const TWINS: Readonly<Record<string, string>> = {
  'led-ride': 'lead-up',
  'ride-perimeter-led': 'lead-up',
  'stand-to-mount': 'stand',
  'ride-bend': 'bend',
  'ride-go-stop': 'send',
  'ride-steer': 'drive',
  'ride-perimeter': 'strange-places',
  'ride-canter': 'saddle-move',
  'ride-contact': 'give-to-bit',
  'ride-poles': 'poles',
  'ride-out': 'strange-places',
  'ride-small-fence': 'poles',
}

/** The step on the ground that a ridden one goes back to; nothing where the program has none. */
export const groundTwinOf = (program: Program, key: string): Step | null => {
  const twin = TWINS[key]
  return (twin === undefined ? undefined : stepOf(program, twin)) ?? null
}

import type { Step } from './step'
import type { Service } from './step-data'

const THINGS_AND_NOISES = 3
const MOVING_THE_PARTS = 4

/** What a step is by where it stands on the path, as long as nobody says otherwise. */
export const dataOfOwn = ({
  stage,
  kind,
}: Pick<Step, 'stage' | 'kind'>): { readonly serves: readonly Service[]; readonly newInWind: boolean } => ({
  // A Solid ask of the moving parts, put in between, keeps quiet from becoming numb.
  serves: kind === 'ask' && stage === MOVING_THE_PARTS ? ['refreshes'] : [],
  // From the things and noises on, the wind shows enough that is new.
  newInWind: stage < THINGS_AND_NOISES,
})

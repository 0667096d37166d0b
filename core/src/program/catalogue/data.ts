import type { Service, Use } from '../step-data'

export interface StepData {
  /** As `rungsDataFrom` reads it. */
  readonly does?: string
  readonly serves?: readonly Service[]
  readonly use?: Use
  /** What is brought to the horse by it. */
  readonly shows?: string
}

/**
 * What the steps that ship are beyond their words. From which rung one loads the legs or the back (lunge, long lines,
 * saddle, rider) is common practice, no source; everything else at walk and in twenty minutes is handling.
 */
export const TOLD: Readonly<Record<string, StepData>> = {
  'settle-in-pen': { does: '3m@3 stand@1-' },
  'loose-direction': { does: 'walk@2 trot@4 loads@4-' },
  'loose-turn-in': { does: 'trot@3 loads@3-', use: 'loose' },
  'first-touch': { does: 'wither@1 neck@2 shoulder@2 back@3 hip@4', shows: 'hand' },
  'head-rub': { does: 'cheek@1 forehead@2 poll@3 ear@4', shows: 'hand' },
  'body-rub': { does: 'belly@1 girth@2 flank@3', shows: 'hand' },
  'mouth-open': { does: 'muzzle@1', shows: 'hand' },
  'give-to-halter': { serves: ['gives-to-halter'] },
  'step-back': { does: '1steps@2 2steps@3 4steps@4', serves: ['steps-back'] },
  'lead-up': { does: 'walk@1- 1steps@1 4steps@2', serves: ['leads'] },
  stand: { does: 'stand@1- 5s@1 30s@2 30s@3 1m@3 120s@4 3m@4 60s@5', serves: ['stands'] },
  'tail-hold': { does: 'tail@1', shows: 'hand' },
  'foot-front': { does: 'front-leg@3 30s@6', serves: ['front-foot'], shows: 'hand' },
  'foot-hind': { does: 'hind-leg@3 30s@6', serves: ['hind-foot'], shows: 'hand' },
  tie: { does: 'stand@1- 10s@1 60s@2 300s@3 120s@4 1800s@5', serves: ['ties'] },
  'rope-over': { shows: 'rope' },
  flag: { does: 'trot@5 loads@5-', shows: 'flag' },
  'stick-string': { does: 'walk@6', shows: 'stick' },
  'person-moves': { shows: 'person' },
  'person-above': { shows: 'person' },
  'over-from-fence': { does: '1s@2' },
  'girth-rope': { does: '10s@3 walk@4', shows: 'rope' },
  'pad-blanket': { does: 'walk@5', shows: 'blanket' },
  'yield-hind': { does: 'walk@5', serves: ['yields-hind'] },
  'turn-front': { does: '1m@2' },
  bend: { does: 'stand@1-', serves: ['bends'] },
  send: { does: 'walk@3 trot@4 loads@4-', serves: ['sends'] },
  'stop-on-circle': { does: 'loads@3-', serves: ['stops-on-circle'] },
  'turn-on-line': { does: 'walk@2 trot@3 loads@3-' },
  'hind-in-motion': { does: 'loads@2-' },
  gap: { does: '3m@1 2m@2 walk@3 stand@4' },
  'come-to-block': { use: 'mounting' },
  poles: { does: 'walk@2 trot@3 loads@3- 2times@1 3times@2-4 2times@5' },
  load: { does: '10s@1 20s@2 30s@3 300s@4 4steps@5' },
  laps: { does: 'walk@1 trot@2-4 3laps@1-2 6laps@3 600s@4 loads@1-' },
  'stretch-lunge': { does: '10s@1 60s@2 180s@3 600s@4 loads@1-' },
  'carry-bit': { does: '10s@1 300s@2 1200s@3 600s@4' },
  'rope-behind': { does: 'walk@2' },
  drive: { does: 'walk@1-2 loads@4-' },
  'drive-on-bit': { does: 'loads@3-' },
  surcingle: { does: 'walk@3 canter@4 loads@4-' },
  'side-strings': { does: 'trot@1 loads@2- 180s@1-2' },
  'saddle-wear': { does: '300s@1 walk@1 1800s@2 walk@2 loads@2-' },
  'saddle-move': { does: 'walk@1 trot@2 canter@5 loads@2-', serves: ['moves-in-saddle'] },
  'lie-over': { does: '1s@1 10s@2' },
  sit: { does: '1s@1 30s@2' },
  'stand-to-mount': { does: '10s@1-2 30s@3' },
  'ride-out': { does: '600s@1 900s@2-3 1200s@4' },
  'ride-go-stop': { does: 'walk@1 trot@3-4' },
  'ride-perimeter': { does: 'walk@1 trot@2' },
  'ride-canter': { does: 'canter@1-' },
  'ride-contact': { does: 'walk@1 trot@2' },
  'ride-poles': { does: 'walk@1 trot@2 canter@3 2times@1 3times@2 2times@3-4' },
  'ride-small-fence': { does: 'trot@1 canter@2 2times@1-' },
}

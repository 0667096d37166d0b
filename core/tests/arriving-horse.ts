import type { ForecastAsked } from '../src/forecast'
import { FEET_FIRST } from '../src/program'

/** The horses of decision 0028: three days a week, 25 minutes. */
export const ASKED: ForecastAsked = {
  program: FEET_FIRST,
  gate: 'first-time-up',
  from: '2026-03-02',
  horizonDays: 180,
  draws: 24,
  seed: 1,
  born: '2020-05-01',
  by: null,
  block: 'start',
  heldWithoutEnd: false,
  talent: { mean: 2, sd: 0.5 },
  calmTalent: { mean: 2, sd: 0.5 },
  logSpeed: { mean: 0, sd: 0.25 },
  stiffness: { mean: 0, sd: 0.3 },
  newTracks: { abilitySd: 0.3, calmSd: 0.3 },
  tracks: [],
  loadDays: [],
  plan: { weekdays: [1, 3, 5], minutes: 25, helperWeekdays: null, off: [] },
  whatIfs: [],
}

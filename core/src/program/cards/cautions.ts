/** Cautions that hold for many steps; each is written once and stands on every card it belongs to. */
export const ROPE = 'Never wrap or coil a rope round hand or body; open your hand fast, close it slowly.'
export const HEELS = 'Stay out of the kick and strike zones: not behind it, not square in front.'
export const ROUND = 'Each new place to stand is a new lesson: begin it at the first rung.'
export const CIRCLE = 'Large circles, short spells, both reins even: small circles load young joints.'
export const HIP = 'Stay at the rope’s end when it passes; a hip that swings can kick.'
export const MOUTH = 'A vet or equine dentist looks in the mouth before the first bit.'
export const FIT = 'A fitter checks the saddle on this horse; a growing back changes in weeks.'
export const SECOND =
  'A second person within call, a phone at the pen. Helmet to a current standard (EN 1384:2023, ASTM F1163 or VG1), body protector (EN 13158), boots with a heel.'

/** All of them, in the order in which they are read. */
export const GENERAL_CAUTIONS: readonly string[] = [SECOND, HEELS, ROPE, HIP, ROUND, CIRCLE, MOUTH, FIT]

/** What holds for every step of a stage, first stage first. */
export const STAGE_CAUTIONS: readonly (readonly string[])[] = [
  [HEELS],
  [ROPE, HEELS],
  [HEELS, ROUND],
  [HIP, ROPE],
  [CIRCLE, ROPE],
  [FIT, SECOND],
  [SECOND, FIT],
  [SECOND, FIT],
  [SECOND, FIT],
]

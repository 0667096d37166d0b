/** The parts of an animal that are touched, as they are seen from above, from the nose back. */
export const ZONES = {
  muzzle: 'muzzle',
  cheek: 'cheek',
  forehead: 'forehead',
  ear: 'ear',
  poll: 'poll',
  neck: 'neck',
  shoulder: 'shoulder',
  wither: 'wither',
  back: 'back',
  girth: 'girth',
  belly: 'belly',
  flank: 'flank',
  hip: 'hip',
  tail: 'tail',
  'front-leg': 'front leg',
  'hind-leg': 'hind leg',
} as const

export type Zone = keyof typeof ZONES

export const ZONE_KEYS = Object.keys(ZONES) as readonly Zone[]

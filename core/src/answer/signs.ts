/** What a horse shows: of ease, of worry, of a body that has had enough. Danger is an incident, not a sign. */
export type SignFamily = 'ease' | 'worry' | 'tired'

export const SIGN_FAMILIES: Record<SignFamily, string> = {
  ease: 'Ease',
  worry: 'Worry',
  tired: 'Tired or sore',
}

/** Common practice, no source. Licking and chewing is only where ease begins. */
export const SIGNS: Record<SignFamily, readonly string[]> = {
  ease: ['neck drops', 'deep breath', 'blows out', 'licks', 'soft eye', 'rests a leg', 'leans into the rub'],
  worry: [
    'head up',
    'tight muzzle',
    'wide eye',
    'flinches',
    'frozen',
    'tail swishes',
    'shifts its feet',
    'turns its rump',
  ],
  tired: ['forges', 'trips', 'drops its back', 'gone dull', 'new flinch on one side'],
}

export const ROLES = ['starter', 'helper', 'owner'] as const
export type Role = (typeof ROLES)[number]

export const ACTIONS = [
  'read-yard',
  'log-answers',
  'mend-answers',
  'confirm-session',
  'edit-horse',
  'edit-school',
  'edit-places',
  'edit-people',
  'plan-week',
  'own-hours',
  'record-check',
  'record-incident',
  'confirm-on-the-day',
  'overrule-gate',
  'own-settings',
  'read-own-reports',
  'take-out',
  'bring-in',
] as const
export type Action = (typeof ACTIONS)[number]

/** Who may do what. An owner sees the reports of their own horses only. */
export const RIGHTS: Readonly<Record<Role, readonly Action[]>> = {
  starter: ACTIONS,
  helper: [
    'read-yard',
    'log-answers',
    'confirm-session',
    'record-incident',
    'confirm-on-the-day',
    'own-hours',
    'own-settings',
  ],
  owner: ['own-settings', 'read-own-reports'],
}

export const mayDo = (role: Role, action: Action): boolean => RIGHTS[role].includes(action)

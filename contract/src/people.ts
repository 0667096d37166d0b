import { z } from 'zod'
import { DeviceTold } from './devices'
import { Day, Id, Instant, measure, Name, words } from './primitives'
import { ROLES } from './rights'

export const Email = z.email('This is not an e-mail address.').max(200)
export const Password = words(200).min(10, 'At least 10 characters.')

const isTimeZone = (name: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return true
  } catch {
    return false
  }
}

export const TimeZone = z.string().refine(isTimeZone, 'This is not a time zone, such as Europe/Oslo.')

export const SignIn = z.object({
  email: Email,
  password: words(200).min(1, 'Please write your password.'),
  device: DeviceTold.optional(),
})

export const SignInDemo = z.object({ device: DeviceTold.optional() })

export const FirstRun = z.object({
  yardName: Name,
  timeZone: TimeZone,
  personName: Name,
  email: Email,
  password: Password,
  device: DeviceTold.optional(),
})

export const Settings = z.object({
  theme: z.enum(['light', 'dark', 'pen', 'system']),
  /** Seconds the person takes to press after seeing. */
  pressLagSeconds: measure(2),
  /** `KeyboardEvent.key` of the remote's two buttons. */
  forwardKey: words(30).min(1),
  backKey: words(30).min(1),
  /** Works with a remote of two buttons: only who does is told of it. */
  hasRemote: z.boolean().default(false),
  vibrate: z.boolean(),
})

export const DEFAULT_SETTINGS: Settings = {
  theme: 'system',
  pressLagSeconds: 0.4,
  forwardKey: 'PageDown',
  backKey: 'PageUp',
  hasRemote: false,
  vibrate: true,
}

export const Person = z.object({ id: Id, name: z.string(), role: z.enum(ROLES) })

/** Whether somebody signs in: who is suspended may come back, who was removed is only named in the record. */
export const STANDINGS = ['here', 'suspended', 'removed'] as const

/** Addresses are told to a starter only. */
export const ListedPerson = Person.extend({
  email: z.string().nullable(),
  standing: z.enum(STANDINGS).default('here'),
})

export const PutStanding = z.object({ standing: z.enum(STANDINGS) })

/** A person's own change of password. */
export const OwnPassword = z.object({
  old: words(200).min(1, 'Please write the password you have now.'),
  password: Password,
})

/** What stands in a link behind its address. */
const Token = z.string().max(200)

/** A link by which somebody chooses a new password, once. */
export const ResetLink = z.object({ token: Token, until: Instant })

export const ResetPassword = z.object({ token: Token, password: Password })

/** A person is added with a password to begin with, or changed; no password leaves it as it is. */
export const PutPerson = z.object({
  name: Name,
  role: z.enum(ROLES),
  /** Who never signs in needs none. */
  email: Email.nullable(),
  password: Password.nullable(),
})

export const Me = z.object({
  person: Person.extend({ settings: Settings }),
  yard: z.object({ id: Id, name: z.string(), timeZone: z.string(), demo: z.boolean() }),
  /** Today in the yard's time zone, and the server's clock. */
  today: Day,
  now: Instant,
})

export const About = z.object({
  version: z.string(),
  demo: z.boolean(),
  /** No yard has been made yet. */
  needsFirstRun: z.boolean(),
})

export type Settings = z.infer<typeof Settings>
export type Me = z.infer<typeof Me>
export type About = z.infer<typeof About>
export type FirstRun = z.infer<typeof FirstRun>
export type SignIn = z.infer<typeof SignIn>
export type Person = z.infer<typeof Person>

export type OwnPassword = z.infer<typeof OwnPassword>
export type ResetPassword = z.infer<typeof ResetPassword>
export type ListedPerson = z.infer<typeof ListedPerson>
export type PutPerson = z.infer<typeof PutPerson>

import { isDay, type Day } from '../answer'
import { over, under } from '../arithmetic'

/** The field that is wrong, `rows.2.day`, and why. */
export class BadField extends Error {
  constructor(
    readonly field: string,
    readonly reason: string,
  ) {
    super(`${field}: ${reason}`)
  }
}

/** What a field must be: reads what was given, or throws the first that is wrong. */
export interface Field<T> {
  readonly read: (given: unknown, at: Place) => T
  /** It may be left out, or null. */
  readonly isOptional?: boolean
}

type Shape = Readonly<Record<string, Field<unknown>>>
export type Read<F> = F extends Field<infer T> ? T : never
export type ReadShape<S extends Shape> = { readonly [K in keyof S]: Read<S[K]> }

/** Where a reader is, and the fields that it met and does not know. */
export interface Place {
  readonly path: string
  readonly unknown: string[]
}

const within = (at: Place, name: string | number): Place => ({
  path: at.path === '' ? String(name) : `${at.path}.${name}`,
  unknown: at.unknown,
})

const refuse = ({ path }: Place, reason: string): never => {
  throw new BadField(path, reason)
}

/** A number from the least to the most, both included. */
export const number = (least: number, most: number): Field<number> => ({
  read: (given, at) => {
    if (typeof given !== 'number' || !Number.isFinite(given)) return refuse(at, 'This is not a number.')
    if (under(given, least) || over(given, most)) return refuse(at, `It must be from ${least} to ${most}.`)
    return given
  },
})

/** A whole number. */
export const whole = (least: number, most: number): Field<number> => ({
  read: (given, at) => {
    if (typeof given !== 'number' || !Number.isInteger(given))
      return refuse(at, 'This is not a whole number.')
    return number(least, most).read(given, at)
  },
})

/** One of the words. */
export const word = <W extends string>(...words: readonly W[]): Field<W> => ({
  read: (given, at) => {
    if (typeof given !== 'string') return refuse(at, 'This is not a word.')
    if (!words.includes(given as W)) return refuse(at, `“${given}” is not one of ${words.join(', ')}.`)
    return given as W
  },
})

export const yes: Field<boolean> = {
  read: (given, at) => (typeof given === 'boolean' ? given : refuse(at, 'This is neither true nor false.')),
}

const MOST_LETTERS = 200

export const text: Field<string> = {
  read: (given, at) => {
    if (typeof given !== 'string') return refuse(at, 'This is not a text.')
    if (given.length < 1 || given.length > MOST_LETTERS)
      return refuse(at, `From 1 to ${MOST_LETTERS} letters.`)
    return given
  },
}

/** A text of one's own form. */
export const shaped = (shape: RegExp, what: string): Field<string> => ({
  read: (given, at) =>
    typeof given === 'string' && shape.test(given) ? given : refuse(at, `This is not ${what}.`),
})

const FIRST_DAY = '1900-01-01'
const LAST_DAY = '2099-12-31'

export const day: Field<Day> = {
  read: (given, at) => {
    if (typeof given !== 'string' || !isDay(given)) return refuse(at, 'This is not a day (YYYY-MM-DD).')
    if (given < FIRST_DAY || given > LAST_DAY) return refuse(at, 'It must be from 1900 to 2099.')
    return given
  },
}

/** A list of so many. */
export const list = <T>(of: Field<T>, least: number, most: number): Field<readonly T[]> => ({
  read: (given, at) => {
    if (!Array.isArray(given)) return refuse(at, 'This is not a list.')
    if (given.length < least || given.length > most)
      return refuse(at, `It must hold from ${least} to ${most}.`)
    return given.map((one, i) => of.read(one, within(at, i)))
  },
})

/** An object of named fields. */
export const record = <S extends Shape>(shape: S): Field<ReadShape<S>> => ({
  read: (given, at) => {
    if (given === null || typeof given !== 'object' || Array.isArray(given))
      return refuse(at, 'This is not an object.')
    const fields = given as Readonly<Record<string, unknown>>
    const read = Object.entries(shape).map(([name, field]) => {
      const value = Object.hasOwn(fields, name) ? fields[name] : undefined
      const here = within(at, name)
      if (value === undefined && !field.isOptional) return refuse(here, 'This is missing.')
      return [name, field.read(value, here)] as const
    })
    for (const name of Object.keys(fields))
      if (!Object.hasOwn(shape, name)) at.unknown.push(within(at, name).path)
    return Object.fromEntries(read) as ReadShape<S>
  },
})

/** A list of objects. */
export const rows = <S extends Shape>(shape: S, least: number, most: number) =>
  list(record(shape), least, most)

/** It may be left out or null, which is then told as `otherwise`, or as null. */
export function maybe<T>(of: Field<T>): Field<T | null>
export function maybe<T, D>(of: Field<T>, otherwise: D): Field<T | D>
export function maybe<T>(of: Field<T>, otherwise: unknown = null): Field<unknown> {
  return {
    read: (given, at) => (given === undefined || given === null ? otherwise : of.read(given, at)),
    isOptional: true,
  }
}

/** It must be given, and may be null. */
export const orNull = <T>(of: Field<T>): Field<T | null> => ({
  read: (given, at) => (given === null ? null : of.read(given, at)),
})

// What is known by its name, wherever it stands.
export const months = number(0, 600)
export const minutes = number(0, 240)
export const clock = number(0, 86_400)
export const count = whole(0, 10_000)
export const nth = whole(1, 10_000)
export const withers = number(50, 210)
export const horseKg = number(15, 1_200)
export const grade = whole(0, 4)
export const calm = orNull(whole(0, 2))

/** One rule: what it reads, what else is wrong with it, and what it reckons. */
export interface Rule<S extends Shape = Shape> {
  readonly fields: S
  /** Throws what no field alone can show. */
  readonly bad?: (input: ReadShape<S>) => void
  readonly reckon: (input: ReadShape<S>) => unknown
}

/** A rule of its fields; this is where its types are held together. */
export const rule = <S extends Shape>(made: Rule<S>): Rule => made as unknown as Rule

/** Reckons by a rule from whatever was given. @throws BadField */
export const reckonBy = ({ fields, bad, reckon }: Rule, given: unknown): unknown => {
  const place: Place = { path: '', unknown: [] }
  if (given === null || typeof given !== 'object' || Array.isArray(given))
    throw new BadField('json', 'This is not a JSON object.')
  const input = record(fields).read(given, place)
  const [unknown] = place.unknown
  if (unknown !== undefined) throw new BadField(unknown, 'This rule knows no such field.')
  bad?.(input)
  return reckon(input)
}

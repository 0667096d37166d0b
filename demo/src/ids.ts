import { v7 } from 'uuid'
import { seededDraw } from './draw'

const MINUTE_MS = 60_000

/** UUID v7s from a fixed seed, so that loading twice is loading once. */
export const idMaker = (seed: number) => {
  const draw = seededDraw(seed)
  return (at: number): string =>
    v7({ msecs: at, random: Uint8Array.from({ length: 16 }, () => draw() * 256), seq: 0 })
}

/** Sessions begin in the morning, each horse at its own hour. */
export const startOf = (day: string, order: number): number =>
  Date.parse(`${day}T06:30:00Z`) + order * 45 * MINUTE_MS

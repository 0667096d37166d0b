import { busyIn, CalendarRefused, type BusyRead } from '@still-pine/core/calendar'
import { expose } from 'comlink'

/** What a calendar file came to; why nothing of it is kept. */
export type BusyTold = (BusyRead & { readonly hash: string }) | { readonly refused: string }

const hashOf = async (text: string): Promise<string> => {
  const bytes = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text))
  return [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

const reading = {
  read: async (text: string, { zone, from }: { zone: string; from: string }): Promise<BusyTold> => {
    try {
      return { ...busyIn(text, { zone, from }), hash: await hashOf(text) }
    } catch (error) {
      if (error instanceof CalendarRefused) return { refused: error.message }
      throw error
    }
  },
}

export type BusyReading = typeof reading

expose(reading)

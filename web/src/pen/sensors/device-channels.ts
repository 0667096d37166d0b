import {
  GAUGE_CHANNEL,
  GaugeReading,
  HEART_CHANNEL,
  HeartMessage,
  REMOTE_CHANNEL,
  RemoteKey,
} from '@still-pine/contract/stand-ins'
import { noteStrap } from './heart-feed'
import { noteReading } from './gauge-feed'

const listenOn = (name: string, hear: (data: unknown) => void): (() => void) => {
  const channel = new BroadcastChannel(name)
  channel.addEventListener('message', ({ data }: MessageEvent) => hear(data))
  return () => channel.close()
}

/** Hears the readings of a rope gauge; gives the way to stop. */
export const listenToGauge = (): (() => void) =>
  listenOn(GAUGE_CHANNEL, (data) => {
    const reading = GaugeReading.safeParse(data)
    if (reading.success) noteReading(reading.data.newtons)
  })

/** Hears the messages of a heart strap; gives the way to stop. */
export const listenToStrap = (): (() => void) =>
  listenOn(HEART_CHANNEL, (data) => {
    const message = HeartMessage.safeParse(data)
    if (message.success) noteStrap(message.data.bytes)
  })

/** Hands on the keys that a remote sends over its channel as if they had been pressed here; gives the way to stop. */
export const listenToRemote = (): (() => void) =>
  listenOn(REMOTE_CHANNEL, (data) => {
    const sent = RemoteKey.safeParse(data)
    if (sent.success) window.dispatchEvent(new KeyboardEvent('keydown', { ...sent.data, cancelable: true }))
  })

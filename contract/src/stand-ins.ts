import { z } from 'zod'

// Devices speak to the pen over channels of the browser, so that a stand-in and a bridge to a real one look the same.

/** The channel on which a remote sends its keys. */
export const REMOTE_CHANNEL = 'still-pine-remote'

/** One key of a remote, as a keyboard would send it. */
export const RemoteKey = z.object({ key: z.string().min(1).max(30), repeat: z.boolean().default(false) })

/** The channel on which a rope gauge sends its readings. */
export const GAUGE_CHANNEL = 'still-pine-gauge'

/** One reading of a rope gauge. */
export const GaugeReading = z.object({ newtons: z.number().min(0).max(20_000) })

/** The channel on which a heart strap sends its messages. */
export const HEART_CHANNEL = 'still-pine-heart'

/** One message of the standard heart-rate service, byte for byte. */
export const HeartMessage = z.object({ bytes: z.array(z.number().int().min(0).max(255)).min(2).max(64) })

export type HeartMessage = z.infer<typeof HeartMessage>
export type RemoteKey = z.input<typeof RemoteKey>
export type GaugeReading = z.infer<typeof GaugeReading>

import { forgetBeats } from './heart-feed'
import { settleWatch } from './witness'
import { useStrapLetGo } from './use-heart'
import type { Sample } from '@still-pine/core/feel'
import { useEffect, useMemo, useSyncExternalStore } from 'react'
import {
  allReadings,
  forgetReadings,
  gaugeState,
  onReading,
  samplesSince,
  type GaugeState,
} from './gauge-feed'

/** Listens to a remote’s channel, a rope gauge and a heart strap while the pen is open. */
export const useDevices = (): void => {
  useStrapLetGo()
  useEffect(() => {
    let stops: (() => void)[] = []
    let isOver = false
    // What comes over a channel is checked by a library that the pen does without until it is drawn.
    void import('./device-channels').then(({ listenToGauge, listenToRemote, listenToStrap }) => {
      if (!isOver) stops = [listenToGauge(), listenToRemote(), listenToStrap()]
    })
    return () => {
      isOver = true
      for (const stop of stops) stop()
      settleWatch()
      forgetReadings()
      forgetBeats()
    }
  }, [])
}

/** The pull on the rope since an ask began, and whether the gauge still speaks. */
export const usePull = (
  startedAt: number | null,
  now: number,
): { samples: readonly Sample[]; state: GaugeState } => {
  const all = useSyncExternalStore(onReading, allReadings)
  const samples = useMemo(() => (startedAt === null ? [] : samplesSince(all, startedAt)), [all, startedAt])
  return { samples, state: all.length === 0 ? 'none' : gaugeState(now) }
}

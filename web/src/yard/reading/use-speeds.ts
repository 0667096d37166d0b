import type { YardReading } from '@still-pine/contract'
import type { LearningSpeed } from '@still-pine/core/evidence'
import { useEffect, useState } from 'react'
import { api } from '../../app/client'
import { useAppDispatch } from '../../app/store'
import { evidenceReader } from '../../threads/evidence'

export interface HorseSpeed {
  readonly horseId: string
  readonly horseName: string
  /** `null` where it could not be worked out. */
  readonly speed: LearningSpeed | null
}

/** How fast each horse learns, one horse after the other on a worker, told as they come. */
export const useSpeeds = (horses: YardReading['horses'] | undefined): readonly HorseSpeed[] => {
  const dispatch = useAppDispatch()
  const [speeds, setSpeeds] = useState<readonly HorseSpeed[]>([])
  useEffect(() => {
    if (!horses) return
    let isWanted = true
    const speedOf = async (horseId: string, programId: string): Promise<LearningSpeed | null> => {
      const evidence = dispatch(api.endpoints.evidence.initiate({ horseId }))
      const program = dispatch(api.endpoints.program.initiate({ programId }))
      try {
        const [{ answers }, { program: document }] = await Promise.all([evidence.unwrap(), program.unwrap()])
        return await evidenceReader().speed({ program: document, answers })
      } catch {
        return null
      } finally {
        evidence.unsubscribe()
        program.unsubscribe()
      }
    }
    const work = async (): Promise<void> => {
      for (const { horseId, horseName, programId } of horses) {
        const speed = await speedOf(horseId, programId)
        if (!isWanted) return
        setSpeeds((known) => [...known, { horseId, horseName, speed }])
      }
    }
    setSpeeds([])
    void work()
    return () => void (isWanted = false)
  }, [dispatch, horses])
  return speeds
}

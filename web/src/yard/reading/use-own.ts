import type { YardReading } from '@still-pine/contract'
import type { OwnTold } from '@still-pine/core/evidence'
import { judgedBy } from '@still-pine/core/program'
import { useEffect, useState } from 'react'
import { api } from '../../app/client'
import { useAppDispatch } from '../../app/store'
import { evidenceReader } from '../../threads/evidence'

export interface HorseTold extends Pick<YardReading['horses'][number], 'horseId' | 'horseName' | 'judgedBy'> {
  /** `null` where it could not be worked out. */
  readonly told: OwnTold | null
}

/** What each horse is like, one horse after the other on a worker, told as they come. */
export const useOwn = (horses: YardReading['horses'] | undefined): readonly HorseTold[] => {
  const dispatch = useAppDispatch()
  const [all, setAll] = useState<readonly HorseTold[]>([])
  useEffect(() => {
    if (!horses) return
    let isWanted = true
    const ownOf = async ({
      horseId,
      programId,
      judgedBy: by,
    }: YardReading['horses'][number]): Promise<OwnTold | null> => {
      const evidence = dispatch(api.endpoints.evidence.initiate({ horseId }))
      const program = dispatch(api.endpoints.program.initiate({ programId }))
      try {
        const [{ answers }, { program: document }] = await Promise.all([evidence.unwrap(), program.unwrap()])
        return await evidenceReader().own({ program: judgedBy(document, by?.values ?? null), answers })
      } catch {
        return null
      } finally {
        evidence.unsubscribe()
        program.unsubscribe()
      }
    }
    const work = async (): Promise<void> => {
      for (const horse of horses) {
        const told = await ownOf(horse)
        if (!isWanted) return
        setAll((known) => [...known, { ...horse, told }])
      }
    }
    setAll([])
    void work()
    return () => void (isWanted = false)
  }, [dispatch, horses])
  return all
}

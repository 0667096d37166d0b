import type { Arranged, ReplyOf } from '@still-pine/contract'
import { useCommand, wordsFor } from '../../app/client'
import { toast } from '../../ui/toast'

/** Arranges a part of every week; says whether it was kept. */
export const useArrange = ({ arranged: known }: Pick<ReplyOf<'plannedWeek'>, 'arranged'>) => {
  const [put, { isLoading }] = useCommand('putArranged')
  const arrange = async (partId: string, arranged: Arranged): Promise<boolean> => {
    const version = known.find(({ id }) => id === partId)?.version ?? 0
    const { error } = await put({ partId, body: { arranged, version } })
    if (error) toast.error(wordsFor(error))
    return !error
  }
  return { arrange, isLoading }
}

import type { BatchItem } from './answers'

/** The id by which an item of a batch is known. */
export const idOfItem = (item: BatchItem): string => {
  if (item.do === 'add') return item.answer.id
  return item.do === 'session' ? item.session.id : item.id
}

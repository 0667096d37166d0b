import type { BatchItem } from '@still-pine/contract'
import { calmWord, count, gradeWord } from '@still-pine/core/answer'
import { circumstancesInWords } from '@still-pine/core/circumstances'
import { CATALOGUE } from '@still-pine/core/program'
import { attachmentWords } from '../../shared/attachments/words'
import { entryWords } from '../../shared/entry-words'
import { INCIDENT_WORDS } from '../../shared/incident-words'
import { sideAfter } from '../../shared/words'

/** What an entry of the outbox is, in words. */
export const itemWords = (item: BatchItem): string => {
  switch (item.do) {
    case 'session':
      return 'the session itself'
    case 'add': {
      const { step: key, side, rung, grade, calm } = item.answer
      const step = CATALOGUE.find((one) => one.key === key)
      const answer = `${step?.name ?? key}${sideAfter(side)}, rung ${rung}: ${step ? gradeWord(step.kind, grade) : `grade ${grade}`}`
      return calm === null ? answer : `${answer}, ${calmWord(calm)}`
    }
    case 'void':
      return `an answer taken back (${item.reason})`
    case 'incident':
      return `an incident: ${INCIDENT_WORDS[item.incident.kind].toLowerCase()}`
    case 'note':
      return item.note ? `a note: “${item.note}”` : 'the session confirmed'
    case 'circumstances':
      return `how the session was: ${circumstancesInWords(item.circumstances) || 'nothing noted'}`
    case 'arrange':
      return 'how the session is arranged'
    case 'enter':
      return entryWords(item.entry)
    case 'measure':
      return 'what was measured'
    case 'attach':
      return attachmentWords(item.attachment)
    case 'confirm':
      return `confirmed at the pen: ${item.confirmed.join(', ') || 'nothing'}`
  }
}

/** "3 answers and 1 other entry": what a group holds. */
export const groupWords = (items: readonly BatchItem[]): string => {
  const answers = items.filter((item) => item.do === 'add').length
  const others = items.filter((item) => item.do !== 'add' && item.do !== 'session').length
  const parts = [
    answers > 0 ? count(answers, 'answer') : '',
    others > 0 ? count(others, 'other entry', 'other entries') : '',
  ].filter(Boolean)
  return parts.join(' and ') || 'a session'
}

import { gateVerdict } from '@still-pine/core/readiness'
import { command } from '../command'
import { notFound, Refusal, refusedFor } from '../refusal'
import { pastDayFault } from '../times'

export const putCheck = command('putCheck', {
  holds: 'the horse',
  parts: ['horse'],
  decide: ({ horse }, { named, body: check, today }) => {
    const fault = pastDayFault(today, horse, check.on)
    if (fault !== null) throw refusedFor('on', fault)
    return [{ kind: 'check', horseId: horse.id, id: named.checkId, check }]
  },
  replies: ['checks'],
  reply: ({ checks }, { named }) => {
    const kept = checks.find(({ id }) => id === named.checkId)
    if (!kept) throw notFound('This check')
    return kept
  },
})

/** Overrules a gate for today, never a Stop; or takes that back. */
export const putOverrule = command('putOverrule', {
  holds: 'the horse',
  parts: ['horse', 'program', 'views', 'facts', 'overrules'],
  decide: ({ horse, program, views, facts, overrules }, { named: { overruleId: id }, body, today }) => {
    const gate = program.gates.find(({ key }) => key === body.gate)
    if (!gate) throw notFound('This gate')
    if (body.takenBack) {
      if (!overrules.some((one) => one.id === id)) throw notFound('This overrule of today')
      return [{ kind: 'overrule-taken-back', id }]
    }
    if (overrules.some((one) => one.id === id)) return []
    const { verdict } = gateVerdict(program, gate, { views, facts, on: today })
    if (verdict === 'stop') throw new Refusal('not-allowed', 'A Stop cannot be overruled.')
    if (verdict === 'go') throw new Refusal('bad-input', 'The gate says Go: there is nothing to overrule.')
    const overrule = { id, gate: gate.key, day: today, verdict, reason: body.reason }
    return [{ kind: 'overrule', horseId: horse.id, overrule }]
  },
  replies: ['overrules'],
  reply: ({ overrules }, { named }) => {
    const kept = overrules.find(({ id }) => id === named.overruleId)
    if (!kept) throw notFound('This overrule')
    return kept
  },
})

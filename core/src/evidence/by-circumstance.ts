import { notedIn, plainKit, type Circumstance, type Circumstances } from '../circumstances'
import type { Group } from './differences'
import type { Prediction } from './predictions'

/** First asks under one circumstance, with its kind. */
export interface CircumstanceGroup extends Group {
  readonly kind: Circumstance['kind']
}

type SessionOutcome = Pick<Prediction, 'chance' | 'light'> & {
  readonly answer: { readonly sessionId: string }
}

const plain = ({ kind, value }: Circumstance): string => (kind === 'kit' ? plainKit(value) : value)

/** First asks summed up by what was noted of their sessions, by kind and then by value. */
export const byCircumstance = (
  predictions: readonly SessionOutcome[],
  sessions: readonly { readonly id: string; readonly circumstances: Circumstances }[],
): readonly CircumstanceGroup[] => {
  const bySession = new Map<string, SessionOutcome[]>()
  for (const asked of predictions) {
    const { sessionId } = asked.answer
    bySession.set(sessionId, [...(bySession.get(sessionId) ?? []), asked])
  }
  const groups = new Map<string, CircumstanceGroup>()
  for (const { id, circumstances } of sessions) {
    const asked = bySession.get(id)
    if (!asked) continue
    for (const noted of notedIn(circumstances)) {
      const value = plain(noted)
      const key = `${noted.kind} ${value}`
      const known = groups.get(key)
      groups.set(key, {
        kind: noted.kind,
        value,
        sessions: (known?.sessions ?? 0) + 1,
        asks: (known?.asks ?? 0) + asked.length,
        light: (known?.light ?? 0) + asked.filter(({ light }) => light).length,
        said: (known?.said ?? 0) + asked.reduce((sum, { chance }) => sum + chance, 0),
      })
    }
  }
  return [...groups.values()].sort((a, b) => a.kind.localeCompare(b.kind) || a.value.localeCompare(b.value))
}

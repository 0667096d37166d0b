import type { Progress } from '@still-pine/contract'

/** How far a file has gone: sent, then worked through. */
export type Sending =
  { readonly step: 'sending'; readonly share: number } | Exclude<Progress, { step: 'done' | 'problem' }>

export type Ended = Extract<Progress, { step: 'done' | 'problem' }>

const NO_ANSWER: Ended = {
  step: 'problem',
  title: 'The connection ended before the server was done.',
  reasons: [
    'Nothing was brought in, unless the server had just finished: look at the yard before trying again.',
  ],
}

const lastLine = (text: string): Progress | null => {
  const lines = text.trim().split('\n')
  try {
    return JSON.parse(lines.at(-1) ?? '') as Progress
  } catch {
    return null
  }
}

/**
 * Sends a whole file and follows it. `fetch` cannot tell how much it has sent, so this is the one place that asks
 * the older way.
 */
export const sendFile = (
  path: string,
  type: string,
  { body, follow }: { body: Blob; follow: (now: Sending) => void },
): Promise<Ended> =>
  new Promise((resolve) => {
    const request = new XMLHttpRequest()
    request.open('POST', `/api/v1${path}`)
    request.setRequestHeader('Content-Type', type)
    request.upload.onprogress = ({ loaded, total }) =>
      follow({ step: 'sending', share: total > 0 ? loaded / total : 0 })
    request.onprogress = () => {
      const now = lastLine(request.responseText)
      if (now && now.step !== 'done' && now.step !== 'problem') follow(now)
    }
    request.onerror = () => resolve(NO_ANSWER)
    request.onload = () => {
      const end = lastLine(request.responseText)
      if (end?.step === 'done' || end?.step === 'problem') resolve(end)
      else resolve({ ...NO_ANSWER, title: (end as { title?: string } | null)?.title ?? NO_ANSWER.title })
    }
    request.send(body)
  })

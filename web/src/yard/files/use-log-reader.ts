import { wrap, type Remote } from 'comlink'
import { useEffect, useState } from 'react'
import type { LogReader } from '../../threads/log-reader.worker'

/** A thread of its own for reading a log; it ends with the page. */
export const useLogReader = (): Remote<LogReader> | null => {
  const [reader, setReader] = useState<Remote<LogReader> | null>(null)
  useEffect(() => {
    const worker = new Worker(new URL('../../threads/log-reader.worker.ts', import.meta.url), {
      type: 'module',
    })
    const wrapped = wrap<LogReader>(worker)
    setReader(() => wrapped)
    return () => worker.terminate()
  }, [])
  return reader
}

import type { Line } from '@still-pine/contract'
import { ORDINARY, todayFrom, type Outlook, type Today } from '@still-pine/core/plan'
import { onLadders, stepOf, type Program } from '@still-pine/core/program'
import { useEffect, useMemo, useRef } from 'react'
import { toast } from '../ui/toast'
import { useAppDispatch } from '../app/store'
import { arrangementOf, plannedFor } from '../shared/arrangement'
import { compose } from '../threads/composer'
import { restPlanned } from './pen-slice'
import type { PenView } from './use-pen'

const MINUTE = 60_000

/** What has become of the steps so far, so that the same news plans the rest only once. */
const newsOf = ({ over, smaller }: Today): string => [...over, ...smaller].join(' ')

const newsInWords = (program: Program, { over, smaller }: Today): string => {
  const nameOf = (key: string): string => stepOf(program, key.split('/')[0]!)?.name.toLowerCase() ?? key
  const [key, how] = [...over].at(-1) ?? []
  if (key) return how === 'done' ? `${nameOf(key)} is done for today` : `no more ${nameOf(key)} today`
  const [track] = [...smaller.keys()].slice(-1)
  return track ? `${nameOf(track)} goes on a rung smaller` : ''
}

/** While the day's plan is run: when a step is done or goes badly, the rest is planned anew in the minutes left. */
export const useFollow = (
  view: PenView,
  line: Line,
  { program, suits }: { program: Program; suits: Outlook['suits'] },
): void => {
  const dispatch = useAppDispatch()
  const { pen } = view
  const isOn = pen.gate === null && pen.aim.burst !== null
  const answers = useMemo(
    () =>
      isOn
        ? onLadders(
            program,
            pen.answers.filter(({ uncued }) => !uncued),
          )
        : [],
    [isOn, pen.answers, program],
  )
  const today = useMemo(() => todayFrom(program, answers, 0), [answers, program])
  const news = newsOf(today)
  // What had happened when the pen was opened is in its plan already.
  const planned = useRef(news)
  const first = pen.answers[0]?.at
  useEffect(() => {
    if (!isOn || first === undefined || news === planned.current) return
    const isOld = news === ''
    planned.current = news
    if (isOld) return
    const { minutes, said, wishes } = arrangementOf(line)
    const spent = Math.max(0, (Date.now() - Date.parse(first)) / MINUTE)
    void compose(program, line, {
      asked: {
        outlook: { ...ORDINARY, ...plannedFor({ said }), minutes, suits, loadDays: line.loadDays },
        // Places were for the whole session; what was left out stays out.
        wishes: { pinned: [], without: wishes.without },
      },
      soFar: { answers, minutes: spent },
    }).then(({ bursts }) => {
      if (planned.current !== news) return
      dispatch(restPlanned(bursts))
      toast(`The rest is planned again: ${newsInWords(program, today)}.`)
    })
  }, [dispatch, isOn, news, first, answers, today, line, program, suits])
}

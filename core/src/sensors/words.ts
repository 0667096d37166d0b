import { count, type Calm } from '../answer'
import { agreement } from './heart'

/** What the strap and the gauge said of one answer, with the person's own mark of it. */
export interface Witnessed {
  readonly calm: Calm | null
  readonly byHeart: Calm | null
  readonly overLimit: boolean | null
}

const heartWords = (told: readonly { byHeart: Calm; calm: Calm | null }[]): readonly string[] => {
  const marked = told.filter(({ calm }) => calm !== null)
  const says = marked.map(({ byHeart, calm }) => agreement(byHeart, calm).says)
  const of = (what: string): number => says.filter((one) => one === what).length
  if (told.length === 0) return []
  if (marked.length === 0)
    return [`The strap was on in ${count(told.length, 'ask')}; nobody noted how the horse felt.`]
  const [tighter, looser] = [of('heart-says-tighter'), of('heart-says-looser')]
  return [
    `The heart agrees with the mark in ${of('agrees')} of ${marked.length}`,
    ...(tighter > 0 ? [`says tighter in ${tighter}`] : []),
    ...(looser > 0 ? [`says looser in ${looser}`] : []),
  ].map((part, i, all) => (i === all.length - 1 ? `${part}.` : part))
}

/** What the strap and the gauge say of a step's answers, in a sentence each; nothing where neither was on. */
export const witnessesInWords = (answers: readonly Witnessed[]): readonly string[] => {
  const hearts = answers.flatMap(({ byHeart, calm }) => (byHeart === null ? [] : [{ byHeart, calm }]))
  const pulls = answers.flatMap(({ overLimit }) => (overLimit === null ? [] : [overLimit]))
  const harder = pulls.filter(Boolean).length
  const heart = heartWords(hearts).join('; ')
  const pull =
    pulls.length === 0
      ? ''
      : harder === 0
        ? `The pull kept to the school’s limit in all of ${count(pulls.length, 'ask')}.`
        : `The pull went over the school’s limit in ${harder} of ${count(pulls.length, 'ask')}.`
  return [heart, pull].filter(Boolean)
}

import { TROUBLES, type Trouble } from '../program'

const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

/** Words that name no trouble. */
const FILLERS: ReadonlySet<string> = new Set(
  'a an and at be been by does for has he her him his i in is it its my of on or she that the they this to too we when will with not no'.split(
    ' ',
  ),
)

/** How well one typed word fits the words of a trouble: the beginning of a word is enough. */
const fits = (typed: string, said: readonly string[]): boolean =>
  said.some((word) => word.startsWith(typed) || (word.length >= 4 && typed.startsWith(word)))

/** The troubles that a person may mean, the best fit first; all of them where nothing was typed. */
export const findTroubles = (text: string): readonly Trouble[] => {
  const typed = wordsOf(text).filter((word) => !FILLERS.has(word))
  if (typed.length === 0) return TROUBLES
  return TROUBLES.map((trouble) => {
    const said = wordsOf([trouble.words, ...trouble.also].join(' '))
    return { trouble, hits: typed.filter((word) => fits(word, said)).length }
  })
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits)
    .map(({ trouble }) => trouble)
}

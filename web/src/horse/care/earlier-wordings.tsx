import { dayOf, longDay } from '../../shared/words'

interface Earlier {
  readonly at: string
  readonly byName: string
  readonly because: string
}

interface Props<Was> {
  readonly earlier: readonly (Earlier & { readonly was: Was })[]
  readonly withdrawn: Earlier | null
  readonly words: (was: Was) => string
}

/** What a record said before it was corrected, and that it was taken back: kept to be read. */
export const EarlierWordings = <Was,>({ earlier, withdrawn, words }: Props<Was>) => (
  <>
    {withdrawn && (
      <span className="block text-quiet">
        Taken back{withdrawn.byName && ` by ${withdrawn.byName}`}: {withdrawn.because}. It counts no more.
      </span>
    )}
    {earlier.map(({ at, byName, because, was }) => (
      <span key={at} className="block text-quiet">
        Before {byName} corrected it on {longDay(dayOf(at))}
        {because && ` (${because})`}: {words(was)}
      </span>
    ))}
  </>
)

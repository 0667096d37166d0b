import type { EntryKind, EntryOf } from '@still-pine/contract/entries-of'
import type { ReactNode } from 'react'
import { EditList } from './edit-list'
import { EntryForm, type EntryFormProps } from './entry-form'
import { StrikeButton } from './strike-button'
import type { Entries } from './use-entries'
import { useMay } from './use-may'

interface Props<Kind extends EntryKind> extends Omit<
  EntryFormProps<Kind>,
  'told' | 'start' | 'faultsIn' | 'onPut'
> {
  readonly book: Pick<Entries, 'put' | 'strike'>
  readonly title: string
  readonly one: string
  readonly items: readonly EntryOf<Kind>[]
  readonly name: (entry: EntryOf<Kind>) => string
  readonly words: (entry: EntryOf<Kind>) => string
  readonly empty?: string
  readonly beneath?: (entry: EntryOf<Kind>) => ReactNode
  readonly start?: (told: EntryOf<Kind> | null) => EntryFormProps<Kind>['start']
  readonly faultsIn?: (
    entry: EntryOf<Kind>,
    told: EntryOf<Kind> | null,
  ) => ReturnType<NonNullable<EntryFormProps<Kind>['faultsIn']>>
}

/** All entries of a kind: to read, to change, to take back, and one more to add. */
export const EntryList = <Kind extends EntryKind>(props: Props<Kind>) => {
  const { book, title, one, items, name, words, empty, beneath, start, faultsIn, ...form } = props
  const mayLog = useMay('log-answers')
  const from = (told: EntryOf<Kind> | null) => start?.(told)
  return (
    <EditList<EntryOf<Kind>>
      title={title}
      one={one}
      items={items}
      mayEdit={mayLog}
      name={name}
      words={words}
      {...(empty === undefined ? {} : { empty })}
      {...(beneath ? { beneath } : {})}
      form={(told, close) => (
        <>
          <EntryForm<Kind>
            {...form}
            told={told}
            {...(from(told) ? { start: from(told)! } : {})}
            {...(faultsIn ? { faultsIn: (entry) => faultsIn(entry, told) } : {})}
            onPut={(entry) => {
              void book.put(entry, told?.id)
              close()
            }}
          />
          {told && (
            <div className="mt-2 text-right">
              <StrikeButton entry={told as never} strike={book.strike} onDone={close} />
            </div>
          )}
        </>
      )}
    />
  )
}

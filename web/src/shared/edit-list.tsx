import { useState, type ReactNode } from 'react'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'

interface Item {
  readonly id: string
}

interface Props<T extends Item> {
  readonly title: string
  /** "person": "Add a person", "A new person", "Change a person". */
  readonly one: string
  readonly items: readonly T[] | undefined
  /** Whether they may be changed, or which of them. */
  readonly mayEdit: boolean | ((item: T) => boolean)
  /** Whether one may be added; where all may be changed, unless said otherwise. */
  readonly mayAdd?: boolean
  /** What it is called, also to whoever hears the page. */
  readonly name: (item: T) => string
  readonly words: (item: T) => string
  readonly form: (item: T | null, close: () => void) => ReactNode
  /** Said where there are none. */
  readonly empty?: string
  /** Whether it counts no more: it is struck through and stays to be read. */
  readonly isStruck?: (item: T) => boolean
  /** What else is to be read of it, beneath its words. */
  readonly beneath?: (item: T) => ReactNode
  /** What else may be done with it. */
  readonly actions?: (item: T) => ReactNode
}

/** "A place", "an incident". */
const aOrAn = (one: string): string => `${/^[aeiou]/.test(one) ? 'an' : 'a'} ${one}`

/** What a yard or a horse has several of, each to be changed, and one more to be added. */
export const EditList = <T extends Item>(props: Props<T>) => {
  const {
    title,
    one,
    items,
    mayEdit,
    mayAdd = mayEdit === true,
    name,
    words,
    form,
    empty,
    isStruck,
    beneath,
    actions,
  } = props
  const [open, setOpen] = useState<T | 'new' | null>(null)
  const close = (): void => setOpen(null)
  return (
    <section>
      <h2 className="mb-2 text-2xl">{title}</h2>
      {empty !== undefined && items?.length === 0 && <p>{empty}</p>}
      <ul>
        {items?.map((item) => (
          <li key={item.id} className="border-t border-line py-1">
            <div className="flex min-h-11 flex-wrap items-center justify-between gap-x-3">
              <span className={isStruck?.(item) ? 'text-quiet line-through' : ''}>
                <b>{name(item)}</b> <span className="text-quiet">{words(item)}</span>
              </span>
              {(typeof mayEdit === 'boolean' ? mayEdit : mayEdit(item)) && (
                <span className="no-print ml-auto flex flex-wrap items-center justify-end">
                  {actions?.(item)}
                  <Button look="quiet" aria-label={`Change ${name(item)}`} onClick={() => setOpen(item)}>
                    Change
                  </Button>
                </span>
              )}
            </div>
            {beneath?.(item)}
          </li>
        ))}
      </ul>
      {/* Not before the list is there: it would move away under the press. */}
      {mayAdd && items && (
        <Button className="no-print mt-2" onClick={() => setOpen('new')}>
          Add {aOrAn(one)}
        </Button>
      )}
      <Sheet
        open={open !== null}
        title={open === 'new' ? `A new ${one}` : `Change ${aOrAn(one)}`}
        onClose={close}
      >
        {open !== null && form(open === 'new' ? null : open, close)}
      </Sheet>
    </section>
  )
}

import { useState, type ReactNode } from 'react'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'

interface Item {
  readonly id: string
  readonly name: string
}

interface Props<T extends Item> {
  readonly title: string
  /** "person": "Add a person", "A new person", "Change a person". */
  readonly one: string
  readonly items: readonly T[] | undefined
  readonly mayEdit: boolean
  readonly words: (item: T) => string
  readonly form: (item: T | null, close: () => void) => ReactNode
  /** Said where there are none. */
  readonly empty?: string
}

/** What a yard has several of, each to be changed, and one more to be added. */
export const EditList = <T extends Item>({ title, one, items, mayEdit, words, form, empty }: Props<T>) => {
  const [open, setOpen] = useState<T | 'new' | null>(null)
  const close = (): void => setOpen(null)
  return (
    <section>
      <h2 className="mb-2 text-2xl">{title}</h2>
      {empty !== undefined && items?.length === 0 && <p>{empty}</p>}
      <ul>
        {items?.map((item) => (
          <li
            key={item.id}
            className="flex min-h-11 items-center justify-between gap-x-3 border-t border-line py-1"
          >
            <span>
              <b>{item.name}</b> <span className="text-quiet">{words(item)}</span>
            </span>
            {mayEdit && (
              <Button look="quiet" aria-label={`Change ${item.name}`} onClick={() => setOpen(item)}>
                Change
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <Button className="mt-2" onClick={() => setOpen('new')}>
          Add a {one}
        </Button>
      )}
      <Sheet open={open !== null} title={`${open === 'new' ? 'A new' : 'Change a'} ${one}`} onClose={close}>
        {open !== null && form(open === 'new' ? null : open, close)}
      </Sheet>
    </section>
  )
}

import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from './button'

interface Props {
  readonly open: boolean
  readonly title: string
  readonly onClose: () => void
  readonly children: ReactNode
}

/** A sheet over the screen: from below on a phone, in the middle at a desk. */
export const Sheet = ({ open, title, onClose, children }: Props) => (
  <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
      <Dialog.Content
        aria-describedby={undefined}
        className="fixed inset-x-0 bottom-0 z-50 max-h-[90dvh] overflow-y-auto border-t-4 border-ink bg-ground p-4 text-ink desk:inset-x-auto desk:top-1/2 desk:bottom-auto desk:left-1/2 desk:w-[36rem] desk:-translate-x-1/2 desk:-translate-y-1/2 desk:rounded-md desk:border-2"
      >
        <div className="mb-4 flex items-center justify-between gap-4">
          <Dialog.Title className="text-2xl">{title}</Dialog.Title>
          <Dialog.Close asChild>
            <Button className="phone:min-h-16 phone:min-w-16 low:min-h-16">Close</Button>
          </Dialog.Close>
        </div>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
)

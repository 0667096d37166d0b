import type { ReactNode } from 'react'

interface Props {
  readonly title: string
  readonly isOpen?: boolean
  readonly children: ReactNode
}

/** A part of a page that is there for who wants it: its title in sight, the rest behind it. */
export const Fold = ({ title, isOpen = false, children }: Props) => (
  <details open={isOpen} className="border-t border-line">
    <summary className="min-h-12 cursor-pointer py-2.5 font-name text-lg font-bold">{title}</summary>
    <div className="pt-1 pb-4">{children}</div>
  </details>
)

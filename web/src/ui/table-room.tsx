import type { ReactNode } from 'react'

/** Room for a table that may be wider than the page: it is then moved by itself, by thumb or by keys. */
export const TableRoom = ({ label, children }: { label: string; children: ReactNode }) => (
  // What can be moved must be reached by keys (WCAG 2.1.1).
  // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
  <div role="region" aria-label={label} tabIndex={0} className="overflow-x-auto">
    {children}
  </div>
)

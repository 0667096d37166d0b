import { lazy, Suspense } from 'react'

const FinderPanel = lazy(() => import('./finder-panel'))

/** Find anything; loaded the first time it is opened. */
export const Finder = ({ open, onClose }: { open: boolean; onClose: () => void }) =>
  open ? (
    <Suspense fallback={null}>
      <FinderPanel onClose={onClose} />
    </Suspense>
  ) : null

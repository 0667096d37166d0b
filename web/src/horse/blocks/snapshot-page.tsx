import { BLOCK_WORDS } from '@still-pine/core/blocks'
import { Link, useParams } from 'react-router'
import { useQuery } from '../../app/client'
import { Button } from '../../ui/button'
import { Notice } from '../../ui/field'
import { Loading } from '../../shared/loading'
import { useHorse } from '../../shared/use-horse'
import { SnapshotSheet } from '../../shared/snapshot-sheet'

/** One printed sheet: how a horse stood when a block was closed. */
const SnapshotPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { blockId } = useParams()
  const { data, error: noBlocks } = useQuery('blocks', { horseId })
  if (!line || !data) return <Loading error={error ?? noBlocks} retry={retry} />
  const block = data.blocks.find(({ id }) => id === blockId)
  if (!block?.snapshot)
    return (
      <main className="px-4 py-3">
        <Notice>
          Nothing is frozen of this block: it is open.{' '}
          <Link className="underline" to={`/horses/${horseId}/blocks`}>
            See its blocks.
          </Link>
        </Notice>
      </main>
    )
  const { snapshot } = block
  return (
    <main className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">
          {line.horse.name} at the end of: {BLOCK_WORDS[block.kind].toLowerCase()}
        </h1>
        <div className="no-print flex gap-3">
          <Link
            className="inline-flex min-h-11 items-center underline"
            to={`/horses/${horseId}/recheck?since=${snapshot.day}`}
          >
            Re-check from this
          </Link>
          <Button className="phone:hidden" onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </div>
      <SnapshotSheet block={block} snapshot={snapshot} name={line.horse.name} />
    </main>
  )
}

export default SnapshotPage

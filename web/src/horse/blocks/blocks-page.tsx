import type { Block } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count, daysBetween } from '@still-pine/core/answer'
import { BLOCK_WORDS, blockNotice, type BlockKind } from '@still-pine/core/blocks'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { fullDay } from '../../shared/words'
import { HorseHeader } from '../../shared/horse-header'
import { useHorse } from '../../shared/use-horse'
import { CloseBlock, OpenAgain, OpenBlock } from './block-forms'
import { OwnerOfHorse } from './owner-of-horse'
import { Timeline } from './timeline'
import { YoungBlock } from './young-block'

const LINK = 'inline-flex min-h-11 items-center underline'

/** What usually comes after a block. */
const NEXT: Readonly<Record<BlockKind, BlockKind>> = {
  handling: 'grow',
  grow: 'start',
  start: 'ridden',
  rest: 'restart',
  restart: 'ridden',
  ridden: 'rest',
}

const length = ({ from, until }: Block, today: string): string =>
  count(daysBetween(from, until ?? today), 'calendar day')

const BlockRow = ({ block, horseId, today }: { block: Block; horseId: string; today: string }) => (
  <li className="border-t border-line py-2">
    <b className="font-name">{BLOCK_WORDS[block.kind]}</b>, {fullDay(block.from)}
    {block.until ? ` to ${fullDay(block.until)}` : ', still open'}
    <span className="text-quiet"> ({length(block, today)})</span>
    {block.snapshot && (
      <span className="block">
        <Link className={LINK} to={`/horses/${horseId}/blocks/${block.id}`}>
          How it stood when it was closed
        </Link>
      </span>
    )}
  </li>
)

/** The stretches of a horse’s life: what it is in now, what it was in, and how it stood at the end of each. */
const BlocksPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { data, error: noBlocks, refetch } = useQuery('blocks', { horseId })
  const { data: worked } = useQuery('worked', { horseId })
  if (!line || !me || !data)
    return <Loading error={error ?? noBlocks} retry={() => (error ? retry() : void refetch())} />
  const { horse, day } = line
  const { blocks } = data
  const open = blocks.find(({ until }) => until === null)
  const last = blocks.at(-1)
  const sessions = new Set(
    worked?.rows.filter((row) => open && row.day >= open.from).map(({ session }) => session),
  )
  const notice = open ? blockNotice(open, horse.born, { sessions: sessions.size, on: day }) : null
  const mayEdit = mayDo(me.person.role, 'edit-horse')
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <h2 className="text-2xl">
        {open ? `${BLOCK_WORDS[open.kind]}, ${length(open, day)} so far` : 'No block open'}
      </h2>
      {blocks.length === 0 && (
        <p className="text-lg">
          A block is a stretch of its life with people: handling, left to grow, starting, rest, starting
          again, ridden. Open the one it is in.
        </p>
      )}
      {notice && <p className="border-l-8 border-act bg-panel px-4 py-2 text-lg">{notice}</p>}
      {open?.kind === 'handling' && notice && (
        <YoungBlock horseId={horseId} today={day} from={open.from} sessions={sessions.size} />
      )}
      {blocks.length > 0 && <Timeline blocks={blocks} today={day} />}
      {last?.snapshot && !open && (
        <p className="text-lg">
          Before the next begins:{' '}
          <Link className={LINK} to={`/horses/${horseId}/recheck`}>
            the re-check sheet made from how it stood
          </Link>
        </p>
      )}
      <div className="grid gap-8 desk:grid-cols-2">
        <ul>
          {[...blocks].reverse().map((block) => (
            <BlockRow key={block.id} block={block} horseId={horseId} today={day} />
          ))}
        </ul>
        {mayEdit && (
          <div className="flex flex-col gap-5">
            {!open && last?.until === day && <OpenAgain horseId={horseId} block={last} />}
            <OwnerOfHorse horseId={horseId} />
            {open ? (
              <CloseBlock key={`${open.id} ${open.version}`} horseId={horseId} block={open} today={day} />
            ) : (
              <OpenBlock
                key={last?.id ?? 'first'}
                horseId={horseId}
                born={horse.born}
                today={day}
                likely={last ? NEXT[last.kind] : 'start'}
                earliest={last?.until ?? null}
              />
            )}
          </div>
        )}
      </div>
    </main>
  )
}

export default BlocksPage

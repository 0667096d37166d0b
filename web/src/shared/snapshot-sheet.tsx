import type { Block } from '@still-pine/contract'
import { count, chancePercent } from '@still-pine/core/answer'
import { fullDay, sideAfter, STATE_WORDS } from './words'
import { TableRoom } from '../ui/table-room'

type Snapshot = NonNullable<Block['snapshot']>

const Lines = ({ title, lines, none }: { title: string; lines: readonly string[]; none: string }) => (
  <section className="break-inside-avoid">
    <h2 className="text-xl">{title}</h2>
    {lines.length === 0 ? (
      <p className="text-quiet">{none}</p>
    ) : (
      <ul className="list-disc pl-6">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    )}
  </section>
)

const Tracks = ({ tracks }: Pick<Snapshot, 'tracks'>) => (
  <TableRoom label="Where it stood">
    <table className="w-full border-collapse">
      <thead className="text-left text-quiet">
        <tr>
          <th scope="col">Step</th>
          <th scope="col">Stood at</th>
          <th scope="col">Holds to</th>
          <th scope="col">Chance of a light first ask</th>
          <th scope="col">Answers</th>
          <th scope="col">Last asked</th>
        </tr>
      </thead>
      <tbody>
        {tracks.map(({ step, name, side, state, holds, chance, answers, lastDay }) => (
          <tr key={`${step}/${side}`} className="break-inside-avoid border-t border-line align-top">
            <th scope="row" className="py-1 pr-3 text-left">
              {name}
              {sideAfter(side)}
            </th>
            <td className="pr-3">{STATE_WORDS[state]}</td>
            <td className="pr-3">{holds || 'no rung yet'}</td>
            <td className="pr-3 tabular-nums">{chancePercent(chance)}</td>
            <td className="pr-3 tabular-nums">{answers}</td>
            <td>{lastDay ?? ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </TableRoom>
)

interface Props {
  readonly block: Block
  readonly snapshot: Snapshot
  readonly name: string
}

/** How a horse stood when a block was closed: where it stands, what worries it, what reward works, what to keep checking. */
export const SnapshotSheet = ({ block, snapshot, name }: Props) => (
  <div className="flex flex-col gap-4">
    <p className="text-quiet">
      {fullDay(block.from)} to {fullDay(snapshot.day)}; {count(snapshot.workDays, 'work day')} and{' '}
      {count(snapshot.calendarDays, 'calendar day')} since it came. Worked by {snapshot.school}, version{' '}
      {snapshot.schoolVersion}. Frozen by {block.byName}.
    </p>
    <div className="grid gap-4 desk:grid-cols-2">
      <Lines
        title="What worries it"
        lines={[block.worries, ...snapshot.worries].filter(Boolean)}
        none="Nothing that answers or incidents tell of."
      />
      <Lines title="What reward works" lines={[block.reward].filter(Boolean)} none="Not said." />
      <Lines
        title="To keep checking, weakest first"
        lines={snapshot.keepChecking}
        none="Nothing held yet that could be lost."
      />
      {snapshot.against.length > 0 && (
        <Lines
          title="Asked though it was not to be"
          lines={snapshot.against.map(
            ({ day, name, words, why }) =>
              `${fullDay(day)}, ${name}: ${words}${why ? ` Said of it: ${why}` : ''}`,
          )}
          none=""
        />
      )}
      {block.note && <Lines title="And" lines={[block.note]} none="" />}
    </div>
    {snapshot.tracks.length === 0 ? (
      <p className="text-lg">Nothing had been asked of {name} by then.</p>
    ) : (
      <Tracks tracks={snapshot.tracks} />
    )}
  </div>
)

import { count } from '@still-pine/core/answer'
import { handOver, letGo, type Waiting } from '@still-pine/device'
import { Button } from '../../ui/button'

/** What lies here and cannot be read any more: a fault of the disk, or of a version that is gone. */
export const SpoiltList = ({ spoilt }: { spoilt: readonly Waiting[] }) => {
  const takeOut = (): void =>
    handOver(new Blob([JSON.stringify(spoilt, null, 2)], { type: 'application/json' }), 'spoilt.json')
  const drop = async (): Promise<void> => {
    for (const { order } of spoilt) await letGo(order)
  }
  return (
    <section
      className="flex flex-col items-start gap-3 border-l-4 border-stop bg-panel p-4"
      aria-label="Spoilt"
    >
      <p className="text-lg">
        {count(spoilt.length, 'entry', 'entries')} on this device cannot be read any more. It holds up nothing
        else. Save it as a file for who looks after this yard’s server, then let it go.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button onClick={takeOut}>Save it as a file</Button>
        <Button look="quiet" onClick={() => void drop()}>
          Let what is spoilt go
        </Button>
      </div>
    </section>
  )
}

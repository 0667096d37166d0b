import { Button } from '../../ui/button'
import { canReachStrap } from './strap'
import { useStrap } from './use-heart'

/** A heart strap for this horse: reached by this browser, or the simulated one in its own window. */
export const StrapPart = () => {
  const { isConnected, connect, disconnect } = useStrap()
  return (
    <section>
      <h3 className="mb-2">Heart strap</h3>
      <div className="grid grid-cols-2 gap-2">
        {canReachStrap() && (
          <Button className="min-h-16" onClick={() => (isConnected ? disconnect() : void connect())}>
            {isConnected ? 'Let the strap go' : 'Connect a strap'}
          </Button>
        )}
        <Button
          className="min-h-16"
          onClick={() =>
            window.open('/stand-ins/strap.html', 'still-pine-strap', 'popup,width=360,height=640')
          }
        >
          Simulated strap
        </Button>
      </div>
      <p className="mt-2 text-quiet">
        {!canReachStrap() && 'This browser cannot reach a strap by itself. '}
        For a horse that stands: work raises the heart too. It never changes your mark.
      </p>
    </section>
  )
}

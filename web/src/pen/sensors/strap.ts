import { noteStrap } from './heart-feed'

const SERVICE = 'heart_rate'
const MEASUREMENT = 'heart_rate_measurement'

/** Whether this browser can reach a strap by itself. */
export const canReachStrap = (): boolean => 'bluetooth' in navigator

const bytesOf = (value: DataView): Uint8Array =>
  new Uint8Array(value.buffer, value.byteOffset, value.byteLength)

/** Asks for a strap of the standard heart-rate service and listens to it; gives the way to let it go. */
export const connectStrap = async (): Promise<() => void> => {
  const strap = await navigator.bluetooth.requestDevice({ filters: [{ services: [SERVICE] }] })
  const server = await strap.gatt!.connect()
  const service = await server.getPrimaryService(SERVICE)
  const measurement = await service.getCharacteristic(MEASUREMENT)
  measurement.addEventListener('characteristicvaluechanged', () => {
    if (measurement.value) noteStrap(bytesOf(measurement.value))
  })
  await measurement.startNotifications()
  return () => server.disconnect()
}

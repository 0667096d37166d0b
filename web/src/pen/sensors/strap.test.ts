import { afterEach, describe, expect, it, vi } from 'vitest'
import { allBeats, beatNow, beatsAround, forgetBeats, noteStrap } from './heart-feed'
import { canReachStrap, connectStrap } from './strap'

afterEach(() => {
  forgetBeats()
  vi.unstubAllGlobals()
})

/** A strap as a browser hands it over; no radio is in a test. */
const strapBeside = () => {
  const measurement = Object.assign(new EventTarget(), {
    value: undefined as DataView | undefined,
    startNotifications: () => Promise.resolve(),
  })
  const asked: string[] = []
  const disconnect = vi.fn()
  const server = {
    disconnect,
    getPrimaryService: (service: string) => {
      asked.push(service)
      return Promise.resolve({
        getCharacteristic: (name: string) => {
          asked.push(name)
          return Promise.resolve(measurement)
        },
      })
    },
  }
  const requestDevice = vi.fn(() => Promise.resolve({ gatt: { connect: () => Promise.resolve(server) } }))
  vi.stubGlobal('navigator', { bluetooth: { requestDevice } })
  const send = (...bytes: number[]): void => {
    // It lies in a bigger buffer, as a browser may hand it over.
    const buffer = new Uint8Array([99, ...bytes]).buffer
    measurement.value = new DataView(buffer, 1)
    measurement.dispatchEvent(new Event('characteristicvaluechanged'))
  }
  return { send, asked, disconnect, requestDevice }
}

describe('a heart strap', () => {
  it('is reached by the standard heart-rate service, and let go', async () => {
    const { send, asked, disconnect, requestDevice } = strapBeside()
    expect(canReachStrap()).toBe(true)
    const letGo = await connectStrap()
    expect(requestDevice).toHaveBeenCalledWith({ filters: [{ services: ['heart_rate'] }] })
    expect(asked).toEqual(['heart_rate', 'heart_rate_measurement'])
    send(0, 41)
    send(1, 0x2c, 0x01)
    expect(allBeats().map(({ bpm }) => bpm)).toEqual([41, 300])
    letGo()
    expect(disconnect).toHaveBeenCalledOnce()
  })

  it('is not heard when it lies on no skin, when its message is cut, or when it tells of 65 535 beats', () => {
    noteStrap([0b100, 40])
    noteStrap([0b001, 40])
    noteStrap([0b001, 255, 255])
    expect(allBeats()).toEqual([])
  })

  it('is silent after five seconds', () => {
    noteStrap([0, 40])
    const at = allBeats()[0]!.at
    expect(beatNow(at + 5_000)).toBe(40)
    expect(beatNow(at + 5_001)).toBeNull()
  })
})

describe('the beats around an ask', () => {
  it('are told in seconds from the first of the five minutes before it', () => {
    const beats = [0, 400_000, 600_000, 700_000].map((at) => ({ at, bpm: 40 }))
    expect(beatsAround(beats, 600_000)).toEqual({
      samples: [400, 600, 700].map((s) => ({ at: s - 400, bpm: 40 })),
      askAt: 200,
    })
  })

  it('begin with the ask where none came before it', () => {
    expect(beatsAround([{ at: 12_000, bpm: 40 }], 10_000)).toEqual({
      samples: [{ at: 2, bpm: 40 }],
      askAt: 0,
    })
  })
})

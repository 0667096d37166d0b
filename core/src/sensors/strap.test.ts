import { describe, expect, it } from 'vitest'
import { strapBeat } from './strap'

// Messages written by hand from the published layout: Bluetooth SIG, Heart Rate Service 1.0, §3.1.
describe('a message of the heart-rate service', () => {
  it('holds the beats in one byte', () => {
    expect(strapBeat([0b00000, 72])).toEqual({ bpm: 72, contact: null })
  })

  it('holds them in two, the low one first', () => {
    expect(strapBeat([0b00001, 0x2c, 0x01])).toEqual({ bpm: 300, contact: null })
  })

  it('says whether it lies on skin, where it can tell', () => {
    expect(strapBeat([0b00100, 40])).toEqual({ bpm: 40, contact: false })
    expect(strapBeat([0b00110, 40])).toEqual({ bpm: 40, contact: true })
  })

  it('may be followed by energy and intervals, which are left alone', () => {
    expect(strapBeat([0b11000, 38, 0x10, 0x00, 0x40, 0x06])).toEqual({ bpm: 38, contact: null })
  })

  it('is nothing when it is cut', () => {
    expect(strapBeat([])).toBeNull()
    expect(strapBeat([0])).toBeNull()
    expect(strapBeat([1, 72])).toBeNull()
  })
})

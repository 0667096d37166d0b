import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { pullAt, readPull } from './replay'

describe('a recorded pull', () => {
  it('is read with a header, a BOM, semicolons and Windows line ends', () => {
    expect(readPull('\uFEFFseconds;newtons\r\n0;1\r\n0.5;12.5\r\n')).toEqual([
      { seconds: 0, newtons: 1 },
      { seconds: 0.5, newtons: 12.5 },
    ])
  })

  it('says which line is wrong, and keeps nothing of a broken file', () => {
    expect(() => readPull('0,1\nx,2')).toThrow('Line 2')
    expect(() => readPull('1,1\n0.5,2')).toThrow('goes back in time')
    expect(() => readPull('seconds,newtons\n')).toThrow('nothing in this file')
  })

  it('is read between its lines and ends with its last', () => {
    const recorded = readPull('10,0\n11,20')
    expect([0, 0.25, 1, 1.1].map((s) => pullAt(recorded, s))).toEqual([0, 5, 20, null])
  })

  it('has a sample that can be read', () => {
    const sample = readPull(readFileSync(new URL('../public/pull-sample.csv', import.meta.url), 'utf8'))
    expect(sample.length).toBeGreaterThan(20)
    expect(Math.max(...sample.map(({ newtons }) => newtons))).toBeGreaterThan(10)
  })
})

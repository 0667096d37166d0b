import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTable, writeTable } from './table'
import { textFrom } from './text'

const cells = (text: string): (readonly string[])[] => readTable(text).rows.map((row) => row.cells)

describe('reading CSV', () => {
  it('follows RFC 4180 §2: quotes, doubled quotes, commas and line breaks inside them', () => {
    const table = readTable('aaa,bbb,ccc\r\n"b CRLF\r\nbb","b""bb","c,c"\r\nzzz,yyy,xxx\r\n')
    expect(table.header).toEqual(['aaa', 'bbb', 'ccc'])
    expect(table.rows.map((row) => row.cells)).toEqual([
      ['b CRLF\nbb', 'b"bb', 'c,c'],
      ['zzz', 'yyy', 'xxx'],
    ])
    expect(table.rows.map(({ line }) => line)).toEqual([2, 4])
  })

  it('takes a byte-order mark, semicolons, and line ends of three kinds in one file', () => {
    const table = readTable('\uFEFFhorse;grade\r\nWhin;1\nSedge;2\rRush;0\r\n')
    expect(table.header).toEqual(['horse', 'grade'])
    expect(table.delimiter).toBe(';')
    expect(table.rows.map(({ line, cells }) => [line, ...cells])).toEqual([
      [2, 'Whin', '1'],
      [3, 'Sedge', '2'],
      [4, 'Rush', '0'],
    ])
  })

  it('names the line with too few cells, and the one where a quote stays open', () => {
    expect(readTable('a,b\n1,2\n\n3\n').faults).toEqual([
      { line: 4, column: '', value: '1 cells', expected: '2 cells, as in the first row' },
    ])
    expect(readTable('a,b\n1,"2\n').faults[0]).toMatchObject({ line: 2, expected: 'a closing quote' })
  })

  it('reads an empty file as no rows', () => {
    expect(readTable('')).toMatchObject({ header: [], rows: [], faults: [] })
  })
})

describe('writing CSV', () => {
  it('ends lines as RFC 4180 says and quotes what needs it', () => {
    expect(writeTable(['a', 'b'], [['x,y', 'he said "ho"']])).toBe('a,b\r\n"x,y","he said ""ho"""\r\n')
  })

  it('keeps a formula from running in a spreadsheet', () => {
    for (const formula of ['=1+1', '+1', '-1', '@sum(a1)', '\t=1', "'=1"]) {
      const line = writeTable(['a'], [[formula]]).split('\r\n')[1]!
      expect(line.replace(/^"/, '')[0]).toBe("'")
    }
  })

  it('is read back as it was written', () => {
    const cell = fc.oneof(
      fc.string({ unit: 'binary' }).map((text) => text.replace(/[\r\uFEFF]/g, '')),
      fc.constantFrom('=1', "'=1", "''@x", 'a;b', '"', ',,', 'Ælfgyð 🐴', ' spaced '),
    )
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1 }), (rows) => {
        const kept = rows.filter((row) => row.some((text) => text.trim() !== ''))
        expect(cells(writeTable(['a', 'b'], kept))).toEqual(kept)
      }),
    )
  })
})

describe('the text of a file', () => {
  const utf8 = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'utf8'))

  it('is UTF-8 where it can be', () => {
    expect(textFrom(utf8('Sjø'))).toEqual({ text: 'Sjø', encoding: 'UTF-8' })
  })

  it('is Windows-1252 where it cannot', () => {
    expect(textFrom(Uint8Array.of(0x53, 0x6a, 0xf8, 0x80))).toEqual({
      text: 'Sjø€',
      encoding: 'Windows-1252',
    })
  })

  it('is UTF-16 by its mark, either way round', () => {
    expect(textFrom(Uint8Array.of(0xff, 0xfe, 0x53, 0x00)).text).toBe('S')
    expect(textFrom(Uint8Array.of(0xfe, 0xff, 0x00, 0x53)).text).toBe('S')
  })
})

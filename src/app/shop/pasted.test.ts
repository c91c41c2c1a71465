import { describe, expect, it } from 'vitest'
import type { Column, Row } from './columns'
import { rowsPasted } from './pasted'

const COLUMNS: readonly Column[] = [
  { field: 'id', label: 'Number', as: 'text' },
  { field: 'mesh', label: 'Mesh', as: { kind: 'meshCount' } },
  { field: 'tension', label: 'Tension', as: { kind: 'tension' } },
  { field: 'state', label: 'State', as: { clean: 'clean', retired: 'out of use' } },
  { field: 'known', label: 'Known', as: { show: () => null } },
]
const newRow = (rows: readonly Row[]): Row => ({ id: `F${rows.length + 1}`, mesh: 7700, state: 'clean' })
const pasted = (text: string, there: readonly Row[] = []) =>
  rowsPasted(text, COLUMNS, newRow, there, 'metric')

describe('rows copied from a sheet', () => {
  it('in the order of the columns, with units or without', () => {
    expect(pasted('A1\t77 T/cm\t22 N/cm\tout of use\nA2\t120\t24\tClean')).toEqual([
      { id: 'A1', mesh: 7700, tension: 2200, state: 'retired' },
      { id: 'A2', mesh: 12_000, tension: 2400, state: 'clean' },
    ])
  })
  it('as a line of heads says; a column that there is not is left out, what is empty is as in a new row', () => {
    expect(pasted('Mesh\tShelf\tNumber\n90\ttop\tB7\n\tlow\t')).toEqual([
      { id: 'B7', mesh: 9000, state: 'clean' },
      { id: 'F2', mesh: 7700, state: 'clean' },
    ])
  })
  it('numbers of new rows go on from those that are there', () => {
    expect(pasted('\t90\n\t90', [{ id: 'F1' }]).map((r) => r.id)).toEqual(['F2', 'F3'])
  })
  it('what cannot be read stays as it is written', () => {
    expect(pasted('A1\tfine\nA2\t77')[0]).toMatchObject({ mesh: 'fine' })
  })
  it.each(['', '\n\n', 'one word', '77 T/cm'])('%j is for one field', (text) => {
    expect(pasted(text)).toEqual([])
  })
})

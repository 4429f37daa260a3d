import { factTable } from '@/core/analysis/fact-table'
import { practiceItemSchema, type PracticeItem } from '@/core/skills'
import { columnWords, rowLabel } from './fact-words'

/** The place of one fact in the table, as it is named there. */
function placed(item: PracticeItem): { column: number; label: string; words: string } {
  const { op, cells } = factTable([{ item, key: '', share: 1, perGame: 1 }] as never)
  expect(op).toBe(item.op)
  const [{ column, row }] = cells
  return { column, label: rowLabel(op, row), words: columnWords[op] }
}

test.each<[PracticeItem, number, string, string]>([
  [{ op: 'add', a: 6, b: 3, answer: 9 }, 6, '+3', 'by the first number'],
  [{ op: 'subtract', a: 9, b: 4, answer: 5 }, 9, '−4', 'by the first number'],
  [{ op: 'multiply', a: 3, b: 5, answer: 15 }, 3, '×5', 'by the first factor'],
  [{ op: 'missing', part: 3, whole: 10, answer: 7 }, 3, 'to 10', 'by the part shown'],
  [{ op: 'factor', part: 3, whole: 12, answer: 4 }, 3, '= 12', 'by the factor shown'],
  [{ op: 'share', total: 8, among: 2, answer: 4 }, 8, 'by 2', 'by the number shared'],
  [{ op: 'groups', groups: 3, size: 4, answer: 12 }, 3, 'of 4', 'by the number of groups'],
  [{ op: 'part-of', of: 8, parts: 2, answer: 4 }, 8, 'half', 'by the number it is part of'],
  [{ op: 'part-of', of: 8, parts: 4, answer: 2 }, 8, 'quarter', 'by the number it is part of'],
  [{ op: 'change', price: 7, paid: 10, answer: 3 }, 7, 'from 10', 'by the price'],
  [{ op: 'pay', price: 10, answer: 1 }, 10, '1 coin', 'by the price'],
  [{ op: 'pay', price: 7, answer: 2 }, 7, '2 coins', 'by the price'],
  [{ op: 'neighbour', of: 9, by: -1, answer: 8 }, 9, '−1', 'by the number whose neighbour is asked'],
  [{ op: 'neighbour', of: 9, by: 10, answer: 19 }, 9, '+10', 'by the number whose neighbour is asked'],
  [{ op: 'clock', hour: 4, minute: 5, answer: 245 }, 4, ':05', 'by the hour'],
])('%j stands in column %d, row “%s”, told %s', (item, column, label, words) => {
  expect(placed(practiceItemSchema.parse(item))).toEqual({ column, label, words })
})

test('every kind of fact has words for its columns, and no two rows of a table the same name', () => {
  const kinds = practiceItemSchema.options.map(({ shape }) => shape.op.value)
  expect(Object.keys(columnWords).sort()).toEqual([...kinds].sort())
  for (const op of kinds) {
    const rows = op === 'part-of' ? [2, 4] : Array.from({ length: 30 }, (_, row) => row)
    const labels = rows.map((row) => rowLabel(op, row))
    expect([op, new Set(labels).size]).toEqual([op, rows.length])
  }
})

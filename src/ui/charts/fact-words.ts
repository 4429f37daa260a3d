import type { PracticeItem } from '@/core/skills'

type Op = PracticeItem['op']

/** What the columns stand for, as a few words after “times in ten games”. */
export const columnWords: Record<Op, string> = {
  add: 'by the first number',
  subtract: 'by the first number',
  multiply: 'by the first factor',
  share: 'by the number shared',
  groups: 'by the number of groups',
  'part-of': 'by the number it is part of',
  'odd-even': 'by the number',
  coins: 'by what the coins come to',
  pay: 'by the price',
  change: 'by the price',
  compare: 'by the one number and the other',
  missing: 'by the part shown',
  factor: 'by the factor shown',
  neighbour: 'by the number whose neighbour is asked',
  say: 'by the number said',
  skip: 'by the multiple',
  clock: 'by the hour',
  tens: 'by ones and tens',
  pattern: 'by the length of the part that repeats',
  count: 'by the number counted out',
  see: 'by the number seen',
  numeral: 'by the numeral',
  order: 'by the number put in its place',
}

/** How a row is named. */
export function rowLabel(op: Op, row: number): string {
  switch (op) {
    case 'add':
      return `+${row}`
    case 'subtract':
      return `−${row}`
    case 'multiply':
      return `×${row}`
    case 'missing':
      return `to ${row}`
    case 'share':
      return `by ${row}`
    case 'groups':
      return `of ${row}`
    case 'part-of':
      return row === 2 ? 'half' : 'quarter'
    case 'coins':
    case 'pay':
      return row === 1 ? '1 coin' : `${row} coins`
    case 'change':
      return `from ${row}`
    case 'factor':
      return `= ${row}`
    case 'neighbour':
      return row < 0 ? `−${-row}` : `+${row}`
    case 'clock':
      return `:${String(row).padStart(2, '0')}`
    default:
      return String(row)
  }
}

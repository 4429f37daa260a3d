import type { PracticeItem } from '../skills'
import type { Practice } from './figures'

type Op = PracticeItem['op']

/** How often the facts of one column and row come up. */
export interface FactCell {
  column: number
  row: number
  /** In ten games, or ten goes where the time ends the game. */
  times: number
}

/** The facts that a level practises, small enough for a page: a level may have ten thousand of them. */
export interface FactTable {
  /** The kind of fact that comes up most: its facts are in the cells. */
  op: Op
  cells: FactCell[]
  /** The commonest facts of all kinds with their share of all. */
  commonest: { fact: string; share: number }[]
}

const mostNamed = 60

/** Facts of the kind that comes up most by the two numbers in them, in tens or hundreds where there are many. */
export function factTable(items: Practice['items']): FactTable {
  const op = commonestKind(items)
  const facts = items.filter(({ item }) => item.op === op)
  const places = facts.map(({ item, perGame }) => ({ ...placeIn(item), perGame }))
  const across = binOf(places.map(({ column }) => column))
  const down = binOf(places.map(({ row }) => row))
  const cells = new Map<string, FactCell>()
  for (const place of places) {
    const column = Math.floor(place.column / across) * across
    const row = Math.floor(place.row / down) * down
    const key = `${column} ${row}`
    cells.set(key, { column, row, times: (cells.get(key)?.times ?? 0) + place.perGame * 10 })
  }
  const commonest = items.slice(0, mostNamed).map(({ key, share }) => ({ fact: key, share }))
  return { op, cells: [...cells.values()], commonest }
}

/** How many numbers share a column or row. */
function binOf(values: readonly number[]): number {
  const most = values.reduce((max, value) => Math.max(max, value), 0)
  if (most > 250) return 100
  return most > 25 && new Set(values).size > 16 ? 10 : 1
}

function commonestKind(items: Practice['items']): Op {
  const total = new Map<Op, number>()
  for (const { item, share } of items) total.set(item.op, (total.get(item.op) ?? 0) + share)
  // What a numeral is read for says more than the reading.
  if (total.size > 1) total.delete('numeral')
  return [...total].reduce((most, entry) => (entry[1] > most[1] ? entry : most))[0]
}

/** Where an item stands in a grid of its kind: two numbers, or one and nought. */
function placeIn(item: PracticeItem): { column: number; row: number } {
  switch (item.op) {
    case 'add':
    case 'subtract':
    case 'multiply':
    case 'compare':
      return { column: item.a, row: item.b }
    case 'share':
      return { column: item.total, row: item.among }
    case 'groups':
      return { column: item.groups, row: item.size }
    case 'part-of':
      return { column: item.of, row: item.parts }
    case 'odd-even':
      return { column: item.of, row: 0 }
    case 'coins':
      return { column: item.answer, row: item.coins.length }
    case 'pay':
      return { column: item.price, row: item.answer }
    case 'change':
      return { column: item.price, row: item.paid }
    case 'missing':
    case 'factor':
      return { column: item.part, row: item.whole }
    case 'neighbour':
      return { column: item.of, row: item.by }
    case 'say':
      return { column: item.answer, row: item.answer - item.from }
    case 'skip':
      return { column: item.answer, row: item.by }
    case 'clock':
      return { column: item.hour, row: item.minute }
    case 'tens':
      return { column: item.ones, row: 10 * item.tens }
    case 'pattern':
      return { column: item.answer, row: 0 }
    case 'count':
    case 'see':
    case 'numeral':
    case 'order':
      return { column: item.answer, row: 0 }
  }
}

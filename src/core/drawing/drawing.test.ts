import { games } from '../games'
import { pictureOf } from '../games/playing/showing'
import { onTable, trackRows } from '../table'
import { numeral, wheel, type Face } from '../things/face'
import { faceMarks } from './faces'
import { hopMarks, ringMarks } from './hops'
import type { Mark } from './marks'
import { svgOf } from './svg'
import { tableMarks } from './table'

const dots = (face: Face, fill = 'ink') =>
  faceMarks(face, 40, 30).filter((mark) => mark.op === 'circle' && mark.fill === fill).length

test.each([0, 1, 2, 3, 4, 5, 6, 7, 8, 9])('%i pips are as many dots, none over another', (n) => {
  const marks = faceMarks({ kind: 'pips', n }, 20, 20)
  expect(marks).toHaveLength(n)
  expect(new Set(marks.map((mark) => mark.op === 'circle' && `${mark.x} ${mark.y}`)).size).toBe(n)
})

test('frames, groups and heaps show as many as they say', () => {
  for (let n = 0; n <= 20; n++) {
    expect(dots({ kind: 'frame', n, cells: 20 })).toBe(n)
    expect(dots({ kind: 'objects', n })).toBe(n)
    expect(dots({ kind: 'groups', a: Math.min(n, 5), b: Math.max(0, n - 5) })).toBe(n)
  }
})

test('a frame is filled fives first: seven leave three of the second row open', () => {
  const marks = faceMarks({ kind: 'frame', n: 7, cells: 10 }, 50, 20)
  const rows = marks.flatMap((mark) => (mark.op === 'circle' ? [mark.y] : []))
  const [top] = rows
  expect(rows.filter((y) => y === top)).toHaveLength(5)
})

test('fingers that are up are longer than those that are folded', () => {
  for (let n = 0; n <= 10; n++) {
    const up = faceMarks({ kind: 'fingers', n }, 60, 40).filter(
      (mark) => mark.op === 'rect' && mark.fill === 'water',
    )
    expect(up).toHaveLength(n)
  }
})

test('a wheel has its sectors, of which one is pointed at', () => {
  for (const sectors of [2, 5, 12]) {
    const marks = faceMarks(wheel(sectors, 2), 40, 40)
    const wedges = marks.filter((mark) => mark.op === 'path' && mark.d.includes('A'))
    expect(wedges).toHaveLength(sectors)
    expect(wedges.filter((mark) => mark.op === 'path' && mark.fill === 'water')).toHaveLength(1)
  }
})

/** Where the hands of a clock end: the short one first. */
const hands = (minutes: number) =>
  faceMarks({ kind: 'clock', minutes }, 100, 100).flatMap((mark) =>
    mark.op === 'path' && mark.d.startsWith('M0 0L') ? [mark.d.slice(5).split(' ').map(Number)] : [],
  )

test('at three the short hand points right and the long one up; at half past six both down', () => {
  const [[hourX, hourY], [minuteX, minuteY]] = hands(180)
  expect([Math.sign(hourX), Math.abs(hourY) < 0.1]).toEqual([1, true])
  expect([Math.abs(minuteX) < 0.1, Math.sign(minuteY)]).toEqual([true, -1])
  expect(hands(390).every(([, y]) => y > 0)).toBe(true)
})

/** Every number of the marks, groups included. */
function numbersIn(marks: readonly Mark[]): number[] {
  return marks.flatMap((mark) => [
    ...Object.values(mark).filter((value): value is number => typeof value === 'number'),
    ...(mark.op === 'group' ? numbersIn(mark.marks) : []),
  ])
}

test('every level has a picture: no mark without a place, every thing drawn, text escaped', () => {
  for (const game of games)
    for (const { id, params } of game.levels) {
      const { layout, scene } = pictureOf(game, params)
      const marks = tableMarks(layout, scene)
      expect([game.id, id, numbersIn(marks).every(Number.isFinite)]).toEqual([game.id, id, true])
      const things = marks.filter((mark) => mark.op === 'group' && mark.id.startsWith('thing '))
      expect(things).toHaveLength(scene.things.length)
      const svg = svgOf(layout, scene, 'A & B < C')
      expect(svg).toContain('A &amp; B &lt; C')
      expect(svg).not.toMatch(/NaN|undefined/)
    }
})

describe('hops', () => {
  const track = onTable(trackRows(0, 20, (n) => ({ id: `square-${n}`, shape: 'circle', face: numeral(n) })))

  test('are counted from one, one for each square', () => {
    const marks = hopMarks(track, 'square-8', ['square-9', 'square-10', 'square-11'])
    expect(marks.flatMap((mark) => (mark.op === 'text' ? [mark.text] : []))).toEqual(['1', '2', '3'])
    expect(hopMarks(track, 'square-8', ['square-9', 'square-10'], 1)).toHaveLength(2)
  })

  test('from row to row an arc is no longer than from square to square', () => {
    const wide = (from: string, to: string) => {
      const [arc] = hopMarks(track, from, [to])
      const [, a, b] = arc.op === 'path' ? /^M([\d.-]+) .* ([\d.-]+) [\d.-]+$/.exec(arc.d)! : []
      return Math.abs(Number(a) - Number(b))
    }
    expect(wide('square-10', 'square-11')).toBeLessThan(2 * wide('square-11', 'square-12'))
  })

  test('a ring lies round the spot that is meant', () => {
    expect(ringMarks(track, ['square-3', 'nowhere'])).toHaveLength(1)
  })
})

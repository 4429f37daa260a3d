import {
  beside,
  circle,
  edited,
  editsBetween,
  grid,
  onTable,
  place,
  ring,
  stacked,
  trackRows,
  type SceneThing,
} from './index'

const spot = (id: string) => ({ id, shape: 'square' as const })
const at = (layout: ReturnType<typeof grid>, id: string) => layout.spots.find((one) => one.id === id)!.at

describe('layouts', () => {
  test('a track to twenty shows two tens: ten and twenty end their rows, nought stands before the first', () => {
    const track = trackRows(0, 20, (n) => ({ id: String(n), shape: 'circle' }))
    expect(at(track, '10')[0]).toBe(at(track, '20')[0])
    expect(at(track, '1')[0]).toBe(at(track, '11')[0])
    expect(at(track, '0')[0]).toBeLessThan(at(track, '1')[0])
    expect(track.paths).toHaveLength(20)
  })

  test('parts stand beside and above each other, with a margin all round', () => {
    const both = onTable(
      stacked(5, beside(3, place('a', [10, 20]), place('b', [30, 10])), place('c', [20, 10])),
      7,
    )
    expect([both.width, both.height]).toEqual([43 + 14, 35 + 14])
    expect(at(both, 'a')).toEqual([12, 17])
    expect(at(both, 'b')).toEqual([35, 17])
    expect(at(both, 'c')).toEqual([28.5, 37])
  })

  test('a ring of sixteen goes once round its middle, each place beside the next', () => {
    const round = ring(
      Array.from({ length: 16 }, (_, i) => spot(String(i))),
      grid([spot('m')], 1, [10, 10]),
      [18, 12],
      2,
    )
    for (let i = 0; i < 16; i++) {
      const [a, b] = [at(round, String(i)), at(round, String((i + 1) % 16))]
      expect(Math.abs(a[0] - b[0]) / 20 + Math.abs(a[1] - b[1]) / 14).toBeCloseTo(1, 9)
    }
  })

  test('children of a circle sit as far from the middle, and none on another', () => {
    for (const children of [3, 6, 12]) {
      const sitting = circle(Array.from({ length: children }, (_, i) => spot(String(i))))
      const middle = sitting.width / 2
      const far = sitting.spots.map(({ at: [x, y] }) => Math.hypot(x - middle, y - middle))
      expect(Math.max(...far) - Math.min(...far)).toBeLessThan(1e-9)
    }
  })
})

describe('edits', () => {
  const die: SceneThing = { id: 'die', kind: 'die', owner: null, at: 'device', face: null }
  const heap: SceneThing = { id: 'heap', kind: 'counter', owner: 0, at: 'hand', face: null, many: 3 }

  test('a thing moves and turns; one of which there are more is laid anew', () => {
    const after = {
      things: [
        { ...die, face: { kind: 'pips' as const, n: 4 } },
        { ...heap, many: 2 },
        { ...die, id: 'second', at: 'hand' },
      ],
    }
    const edits = editsBetween({ things: [die, heap] }, after)
    expect(edits.map(({ op }) => op)).toEqual(['turn', 'remove', 'add', 'add'])
    expect(edited({ things: [die, heap] }, edits).things).toEqual(expect.arrayContaining(after.things))
  })

  test('an edit of what is not there, or a thing laid twice, is a fault', () => {
    expect(() => edited({ things: [] }, [{ op: 'move', id: 'die', at: 'hand' }])).toThrow(/die/)
    expect(() => edited({ things: [die] }, [{ op: 'add', thing: die }])).toThrow(/die/)
  })
})

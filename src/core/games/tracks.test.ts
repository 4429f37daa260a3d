import { gameOf } from './index'
import { go, make, start } from './testing/script'

describe('Squall', () => {
  test('spin 3 on square 2: “2 + 3 = 5”, and 5 is a squall: back to the start, the next go is lost', () => {
    const state = { ...start('squall', { players: 2 }), positions: [2, 0] }
    const blown = go('squall', state, [3])
    expect(blown.items).toEqual([{ op: 'add', a: 2, b: 3, answer: 5 }])
    expect(blown.next.positions).toEqual([0, 0])
    const other = go('squall', blown.next, [1]).next
    const lost = go('squall', other, [])
    expect(lost.kinds).toEqual(['waited', 'handed-over'])
    expect(go('squall', go('squall', lost.next, [1]).next, [2]).next.positions).toEqual([2, 2])
  })
  test('the last square must be met exactly, unless passing counts', () => {
    const near = { ...start('squall'), positions: [11] }
    expect(go('squall', near, [2]).kinds).toContain('waited')
    expect(go('squall', near, [1]).next.ended).toBe(true)
    const passing = { ...start('squall', { rules: { finish: 'pass' } }), positions: [11] }
    expect(go('squall', passing, [3]).next.ended).toBe(true)
  })
  test('a squall beyond the track is refused', () => {
    const { error } = gameOf('squall').params.safeParse({ length: 8, sectors: 3, penalty: [9] })
    expect(error?.issues[0].path).toEqual(['penalty'])
  })
})

describe('Grid Hop', () => {
  test('a four is four ones or four tens; the planner takes tens when far away', () => {
    const state = start('grid-hop', { level: 'to-100' })
    expect(gameOf('grid-hop').moves({ ...state, thrown: 4 })).toEqual([
      { marker: 0, squares: 4 },
      { marker: 0, squares: 40 },
    ])
    expect(go('grid-hop', state, [4]).items).toEqual([{ op: 'add', a: 0, b: 40, answer: 40 }])
  })
  test('exactly: what does not fit can’t be chosen; nothing fits: a dead go', () => {
    const near = { ...start('grid-hop', { level: 'to-100-exactly' }), left: [[5]] }
    expect(go('grid-hop', near, [6]).kinds).toEqual(['rolled', 'waited', 'handed-over'])
    expect(go('grid-hop', near, [5]).next.ended).toBe(true)
  })
  test('backwards the grid is gone down to nought', () => {
    expect(go('grid-hop', start('grid-hop', { level: 'back-100' }), [3]).items).toEqual([
      { op: 'subtract', a: 100, b: 30, answer: 70 },
    ])
  })
  test('with two markers both must arrive', () => {
    const state = { ...start('grid-hop', { level: 'two-markers' }), left: [[20, 30]] }
    const one = go('grid-hop', state, [2]).next
    expect(one.ended).toBe(false)
    expect(Math.min(...one.left[0])).toBeLessThan(20)
  })
})

describe('Currents', () => {
  test('the table carries on and back, never below nought', () => {
    const at = (square: number) => ({ ...start('currents', { level: 'to-50' }), positions: [square] })
    expect(go('currents', at(10), [1]).next.positions).toEqual([14])
    expect(go('currents', at(10), [2]).next.positions).toEqual([7])
    expect(go('currents', at(2), [2]).items).toEqual([{ op: 'subtract', a: 2, b: 2, answer: 0 }])
    expect(go('currents', at(0), [2]).kinds).toContain('waited')
    expect(go('currents', at(47), [6]).next.ended).toBe(true)
  })
})

describe('Last Cover', () => {
  test('the answer of the sentence is covered once; then it is a dead go', () => {
    const state = start('last-cover', { level: 'within-10', players: 2 })
    const first = go('last-cover', state, [3])
    const [{ answer }] = first.items as { answer: number }[]
    expect(first.events).toContainEqual({ kind: 'placed', player: 0, space: answer })
    const again = { ...first.next, positions: [0, 0] }
    expect(go('last-cover', again, [3]).kinds).toEqual([
      'rolled',
      'moved',
      'waited',
      'answered',
      'handed-over',
    ])
  })
  test('whoever covers the last answer ends the game', () => {
    const state = start('last-cover', { players: 2 })
    const almost = { ...state, covered: state.covered.map(() => true).with(0, false), positions: [0, 0] }
    // Any square whose sentence has the answer that is open will do.
    const ends = [1, 2, 3, 4, 5, 6].map((face) => go('last-cover', almost, [face]).next.ended)
    expect(ends).toContain(true)
    expect(ends).toContain(false)
  })
})

describe('Harbour Guard', () => {
  const board = () => start('harbour-guard', { players: 2, level: 'long', rules: { targets: [34, 67] } })
  test('two tens down from 44 is 64: said as adding, two steps', () => {
    const piece = board().pieces.indexOf(44)
    const { next, events } = make('harbour-guard', board(), { piece, by: 20 })
    expect(next.pieces.slice(0, 4)).toContain(64)
    expect(events[0]).toMatchObject({ item: { op: 'add', a: 44, b: 20, answer: 64 }, steps: 2 })
  })
  test('never over or onto a boat, never round the end of a row, never the same move twice', () => {
    const game = gameOf('harbour-guard')
    const moves = game.moves(board()) as { piece: number; by: number }[]
    const own = board().pieces
    // 33 is left of the target at 34, 35 right of it: along the row the way from 33 ends before 35.
    const left = moves.filter(({ piece }) => own[piece] === 33).map(({ by }) => by)
    expect(left).toContain(1)
    expect(left).not.toContain(2)
    expect(left.filter((by) => by < 0 && by > -10)).toEqual([-1, -2])
    const after = { ...board(), last: 1 }
    expect((game.moves(after) as { by: number }[]).some(({ by }) => by === 1)).toBe(false)
  })
  test('landing on the other harbour wins', () => {
    const pieces = [65, 11, 12, 13, 1, 2, 3, 4]
    const { next } = make('harbour-guard', { ...board(), pieces } as never, { piece: 0, by: 2 })
    expect(next).toMatchObject({ ended: true, winner: 0 })
  })
  test('targets lie inside the grid and three steps apart', () => {
    const bad = (targets: number[]) =>
      gameOf('harbour-guard').params.safeParse({ targets }).error?.issues[0].path[0]
    expect(bad([10, 45])).toBe('targets')
    expect(bad([44, 45])).toBe('targets')
  })
})

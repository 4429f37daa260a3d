import type { Chance } from '../chance/chance'
import type { GameEvent } from './engine/events'
import { playGo } from './engine/game'
import { splitIntoSets } from './engine/sets'
import { theGap } from './catalogue/explain/the-gap'
import { towerBay } from './catalogue/collect/tower-bay'

const turning = (...numbers: number[]): Chance => ({ int: (low) => low + numbers.shift()! })
const tower = (change: object) => towerBay.params.parse(change)

function towerGo(
  state: ReturnType<typeof towerBay.setup>,
  choice: 'novice' | 'planner',
  ...numbers: number[]
) {
  const events: GameEvent[] = []
  return { next: playGo(towerBay, state, choice, turning(...numbers), (event) => events.push(event)), events }
}

describe('Tower Bay', () => {
  const die = tower({ source: { kind: 'dice', count: 1 } })

  test('the tower of the number rolled is built once; the second time is a dead go', () => {
    const first = towerGo(towerBay.setup(die, 2), 'planner', 3)
    expect(first.events).toContainEqual({ kind: 'built', player: 0, cubes: 4, space: 4 })
    const second = towerGo(first.next, 'planner', 3)
    expect(second.events.map(({ kind }) => kind)).toEqual(['rolled', 'waited', 'handed-over'])
    expect(second.next.towers).toEqual(first.next.towers)
  })

  test('ends when every space has its tower, or as many as the rule asks for', () => {
    let state = towerBay.setup(die, 1)
    for (let face = 0; face < 6; face++) state = towerGo(state, 'planner', face).next
    expect(state.ended).toBe(true)
    const two = towerBay.setup(tower({ ...die, spaces: 2 }), 1)
    expect(towerGo(towerGo(two, 'planner', 0).next, 'planner', 1).next.ended).toBe(true)
  })

  test('a taken number may go next door where the rule says so', () => {
    const state = towerGo(towerBay.setup(tower({ ...die, taken: 'neighbour' }), 1), 'planner', 2).next
    const moves = towerBay.moves(towerBay.roll(state, turning(2)))
    expect(moves.map(({ space }) => space)).toEqual([2, 4])
  })

  test('either die or the total: the planner takes the number that comes up most rarely', () => {
    const both = towerBay.setup(tower({ source: { kind: 'dice', count: 2 }, pick: 'die-or-total' }), 1)
    const { events } = towerGo(both, 'planner', 5, 5)
    expect(events).toContainEqual(expect.objectContaining({ kind: 'built', space: 12 }))
  })

  test('a board of 1 to 10 takes 55 cubes', () => {
    const cubes = towerBay
      .materials(tower({ source: { kind: 'spinner', sectors: 10 } }))
      .find(({ thing }) => thing.kind === 'cube')
    expect(cubes?.perSet).toBe(55)
  })
})

describe('The Gap', () => {
  test('the gap is what is missing to the target', () => {
    const events: GameEvent[] = []
    const state = theGap.setup(theGap.levels[1].params, 1)
    playGo(theGap, state, 'planner', turning(3), (event) => events.push(event))
    expect(events).toContainEqual({
      kind: 'answered',
      player: 0,
      item: { op: 'missing', part: 3, whole: 10, answer: 7 },
      steps: 7,
    })
  })

  test('from 27 to 46 is counted 28 29 30, 40, 41 to 46: ten counts', () => {
    const events: GameEvent[] = []
    const params = { target: 46, cards: { low: 27, high: 27, by: 1 }, turn: null, record: true }
    playGo(theGap, theGap.setup(params, 1), 'planner', turning(0), (event) => events.push(event))
    expect(events).toContainEqual(expect.objectContaining({ kind: 'answered', steps: 10 }))
    expect(events).toContainEqual(expect.objectContaining({ kind: 'wrote', text: '27 + 19 = 46' }))
  })

  test('a card above the target is refused by its field', () => {
    const refused = theGap.params.safeParse({ target: 10, cards: { low: 0, high: 12 } })
    expect(refused.error?.issues[0].path).toEqual(['cards', 'high'])
  })
})

test('five children play as 2 + 3, nobody alone', () => {
  const players = { min: 1, max: 4, typical: 2 }
  expect(splitIntoSets(5, players)).toEqual([2, 3])
  expect(splitIntoSets(4, players)).toEqual([2, 2])
  expect(splitIntoSets(6, { ...players, typical: 3 })).toEqual([3, 3])
  expect(splitIntoSets(1, players)).toEqual([1])
  expect(splitIntoSets(0, players)).toEqual([])
})

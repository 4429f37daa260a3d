import type { Chance } from '../../../chance/chance'
import type { GameEvent } from '../../engine/events'
import { playGo } from '../../engine/game'
import { usualLevel } from '../..'
import { landfall } from './landfall'

/** Chance that turns up the given numbers in order, counted from the lowest possible one. */
const turning = (...numbers: number[]): Chance => ({ int: (low) => low + numbers.shift()! })
const die = (...faces: number[]) => turning(...faces.map((face) => face - 1))

type Params = Parameters<typeof landfall.setup>[0]
const params = (change: object) =>
  landfall.params.parse({ ...usualLevel(landfall).params, ...change }) as Params

function go(state: ReturnType<typeof landfall.setup>, chance: Chance) {
  const events: GameEvent[] = []
  const next = playGo(landfall, state, 'planner', chance, (event) => events.push(event))
  return { next, events, kinds: events.map(({ kind }) => kind) }
}

test('a go counts on from the square after the marker and says the sum', () => {
  const { next, events } = go(landfall.setup(params({}), 2), die(4))
  expect(next.positions).toEqual([4, 0])
  expect(next.turn).toBe(1)
  expect(events).toContainEqual({
    kind: 'answered',
    player: 0,
    item: { op: 'add', a: 0, b: 4, answer: 4 },
    steps: 4,
  })
})

test('a number that would overshoot is a dead go', () => {
  const start = { ...landfall.setup(params({}), 1), positions: [7] }
  const { next, kinds } = go(start, die(4))
  expect(next.positions).toEqual([7])
  expect(kinds).toEqual(['rolled', 'waited', 'handed-over'])
})

test('landing exactly on the goal ends the game', () => {
  const { next } = go({ ...landfall.setup(params({}), 1), positions: [7] }, die(3))
  expect(next.ended).toBe(true)
})

test('passing the goal counts where the rule says so, and only squares on the track are said', () => {
  const { next, events } = go({ ...landfall.setup(params({ finish: 'pass' }), 1), positions: [7] }, die(5))
  expect(next.ended).toBe(true)
  expect(events).toContainEqual({
    kind: 'answered',
    player: 0,
    item: { op: 'add', a: 7, b: 3, answer: 10 },
    steps: 3,
  })
})

test('bouncing back is reflected at the goal and never goes below the start', () => {
  const near = { ...landfall.setup(params({ finish: 'bounce' }), 1), positions: [8] }
  expect(go(near, die(5)).next.positions).toEqual([7])
  const short = landfall.setup(params({ goal: 1, finish: 'bounce' }), 1)
  expect(go(short, die(6)).next.positions).toEqual([0])
})

test('one die near the goal, two before', () => {
  const two = params({ goal: 20, source: { kind: 'dice', count: 2, oneDieWithin: 6 } })
  expect(go({ ...landfall.setup(two, 1), positions: [13] }, die(2, 3)).events[0]).toMatchObject({
    faces: [2, 3],
  })
  expect(go({ ...landfall.setup(two, 1), positions: [14] }, die(2)).events[0]).toMatchObject({ faces: [2] })
})

test('counting back subtracts', () => {
  const back = params({ start: 10, goal: 0 })
  const { next, events } = go(landfall.setup(back, 1), die(4))
  expect(next.positions).toEqual([6])
  expect(events).toContainEqual({
    kind: 'answered',
    player: 0,
    item: { op: 'subtract', a: 10, b: 4, answer: 6 },
    steps: 4,
  })
})

test('a zero card moves nothing and is worked out: no dead go', () => {
  const cards = params({ source: { kind: 'cards', low: 0, high: 10 } })
  const { next, kinds } = go({ ...landfall.setup(cards, 1), positions: [6] }, turning(0))
  expect(next.positions).toEqual([6])
  expect(kinds).toEqual(['drew', 'answered', 'handed-over'])
})

test('used cards are laid aside and shuffled again only when the pack is empty', () => {
  const cards = params({ goal: 100, source: { kind: 'cards', low: 1, high: 3 } })
  let state = landfall.setup(cards, 1)
  const drawn: number[] = []
  for (let i = 0; i < 4; i++) {
    const { next, events } = go(state, turning(0))
    drawn.push((events[0] as { card: number }).card)
    state = next
  }
  expect(drawn).toEqual([1, 2, 3, 1])
})

test('with two dice the number sentence has three addends', () => {
  const two = params({ goal: 20, record: true, source: { kind: 'dice', count: 2 } })
  const { events } = go({ ...landfall.setup(two, 1), positions: [5] }, die(2, 4))
  expect(events).toContainEqual({ kind: 'wrote', player: 0, what: 'sentence', text: '5 + 2 + 4 = 11' })
})

test('a prediction is asked for once a player, before the first go', () => {
  let state = landfall.setup(params({ predict: true }), 2)
  const asked: number[] = []
  for (let i = 0; i < 4; i++) {
    const { next, events } = go(state, die(1))
    asked.push(...events.filter(({ kind }) => kind === 'predicted').map(({ player }) => player!))
    state = next
  }
  expect(asked).toEqual([0, 1])
})

test('a bounce onto the same square is counted square by square, there and back', () => {
  const near = { ...landfall.setup(params({ finish: 'bounce' }), 1), positions: [8] }
  const { next, events } = go(near, die(4))
  expect(next.positions).toEqual([8])
  expect(events).toContainEqual({ kind: 'moved', player: 0, from: 8, to: 8, squares: 4 })
})

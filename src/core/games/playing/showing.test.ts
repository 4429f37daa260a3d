import { itemAsked, slips } from '../../skills'
import { games, gameOf, usualLevel } from '../index'
import { ImpossibleDevice, newRound, sceneOf } from '../engine/round'
import { demonstrate, roundWith } from '../engine/demonstration'
import { firstFrame, nextFrames, playersToShow, type Frame } from './showing'

function played(gameId: string, levelId: string, seed: number, players?: number): Frame[] {
  const game = gameOf(gameId)
  const { params } = game.levels.find(({ id }) => id === levelId)!
  const frames = [firstFrame(newRound(gameId, params, players ?? playersToShow(game), seed))]
  for (let more = true; more && frames.length < 200;) {
    const next = nextFrames(frames.at(-1)!)
    frames.push(...next)
    more = next.length > 0
  }
  return frames
}

test('Landfall before the class: device, question, move; the sentences lead from 0 to the goal', () => {
  const frames = played('landfall', 'to-20-die', 3)
  const moves = frames.filter(({ stage, waits }) => stage === 'moved' && !waits)
  let at = 0
  for (const { answered, move } of moves) {
    const last = answered.at(-1)!
    expect(last).toEqual({ op: 'add', a: at, b: move!.numbers[1], answer: at + move!.numbers[1] })
    expect(move!.spots.at(-1)).toBe(`square-${last.answer}`)
    expect(move!.spots).toHaveLength(move!.numbers[1])
    at = last.answer
  }
  expect(at).toBe(20)
  const asked = frames.find(({ stage }) => stage === 'asked')!
  expect(itemAsked(asked.item!)).toMatch(/^\d+ \+ \d+ = \?$/)
  // While the question stands open its answer is on no list.
  expect(asked.answered).not.toContainEqual(asked.item)
})

test('real dice: the table follows them, and what no die shows is refused', () => {
  const { params } = gameOf('landfall').levels.find(({ id }) => id === 'to-100')!
  const start = firstFrame(newRound('landfall', params, 1, 1))
  const frames = nextFrames(start, [4, 2])
  expect(frames[0].faces).toEqual([4, 2])
  expect(frames.at(-1)!.answered.at(-1)).toMatchObject({ a: 0, b: 6, answer: 6 })
  expect(() => nextFrames(start, [7, 2])).toThrow(ImpossibleDevice)
  expect(() => nextFrames(start, [4])).toThrow(ImpossibleDevice)
})

test('real cards: every card of the pack, once', () => {
  const { params } = gameOf('landfall').levels.find(({ id }) => id === 'to-10-cards')!
  const start = firstFrame(newRound('landfall', params, 1, 1))
  const [first] = nextFrames(start, [3])
  expect(first.faces).toEqual([3])
  expect(() => nextFrames(nextFrames(start, [3]).at(-1)!, [3])).toThrow(ImpossibleDevice)
})

test.each(games.map(({ id }) => id))('%s: shown level by level, whose question is answered truly', (id) => {
  const game = gameOf(id)
  for (const { id: levelId } of game.levels) {
    const frames = played(id, levelId, 1)
    expect(frames.length).toBeGreaterThan(2)
    // Who guesses the hidden number answers nothing: the question is the move.
    if (id !== 'fog-number') expect(frames.some(({ item }) => item !== null)).toBe(true)
    expect(frames.some(({ stage, move }) => stage === 'moved' && move !== null)).toBe(true)
    for (const { item } of frames)
      if (item) {
        expect(slips(item).map(({ answer }) => answer)).not.toContain(item.answer)
        expect(itemAsked(item)).not.toBe('')
      }
  }
})

test.each(['landfall', 'perch', 'squall', 'five-flags', 'low-tide', 'any-pairs', 'trade-up'])(
  '%s: the demonstration shows what it says, in as many goes as it says',
  (id) => {
    const game = gameOf(id)
    for (const { params } of game.levels.slice(0, 3)) {
      const players = playersToShow(game)
      const { seed, goes, shows, never } = demonstrate(game, params, players, 60)
      let frames = [firstFrame(newRound(id, params, players, seed), 'table')]
      const seen = new Set<string>()
      while (frames.length > 0) {
        const last = frames.at(-1)!
        for (const one of last.notable) seen.add(one)
        if (last.goes >= goes && last.stage === 'moved' && last.round.phase !== 'choose') {
          for (const frame of frames) for (const one of frame.notable) seen.add(one)
          break
        }
        for (const frame of frames) for (const one of frame.notable) seen.add(one)
        frames = nextFrames(last, undefined, 'table')
      }
      expect([...seen].sort()).toEqual([...shows].sort())
      for (const { share } of never) expect(share).toBeGreaterThan(0)
    }
  },
)

test('a case asked for by itself comes up in the go that is named', () => {
  const game = gameOf('landfall')
  const { params } = usualLevel(game)
  const { seed, go } = roundWith('waits', game, params, 1)!
  let frame = firstFrame(newRound('landfall', params, 1, seed))
  while (frame.goes < go || frame.stage !== 'moved') frame = nextFrames(frame).at(-1)!
  expect(frame.notable).toContain('waits')
})

describe('what is hidden stays hidden', () => {
  test('Number in the Fog: the table looks the same whatever the number is', () => {
    const { params } = usualLevel(gameOf('fog-number'))
    const round = nextFrames(firstFrame(newRound('fog-number', params, 2, 1)))[0].round
    const seen = (hidden: number) =>
      JSON.stringify(sceneOf({ ...round, state: { ...round.state, hidden } as never }, 0))
    expect(seen(3)).toBe(seen(7))
  })

  test('Any Pairs: another hand can’t be told from any other', () => {
    const { params } = gameOf('any-pairs').levels[1]
    const round = nextFrames(firstFrame(newRound('any-pairs', params, 2, 5)))[0].round
    const state = round.state as unknown as { hands: number[][] }
    const other = { ...state, hands: [state.hands[0], state.hands[1].map((card) => (card % 10) + 1)] }
    expect(JSON.stringify(sceneOf({ ...round, state: other as never }, 0))).toBe(
      JSON.stringify(sceneOf(round, 0)),
    )
    expect(JSON.stringify(sceneOf(round, 'table'))).not.toContain('numeral')
  })

  test('Twin Totals: only what was turned in this go lies open', () => {
    const { params } = gameOf('twin-totals').levels[0]
    const frames = nextFrames(firstFrame(newRound('twin-totals', params, 2, 2)))
    const open = frames.at(-1)!.scene.things.filter(({ face }) => face !== null)
    expect(open).toHaveLength(1)
  })
})

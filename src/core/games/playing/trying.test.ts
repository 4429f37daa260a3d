import { games, gameOf, usualLevel } from '../index'
import { slips } from '../../skills'
import {
  answer,
  beginTrying,
  chooseMove,
  isOwnGo,
  movesBySpot,
  othersStep,
  pass,
  deviceUsed,
  type Trying,
} from './trying'
import { practised, slipsIn } from './practised'
import { movesOf } from '../engine/round'

/** A person who answers every third question wrongly at first, by its likeliest slip. */
function playOut(start: Trying, most = 300) {
  let trying = start
  let asked = 0
  const told: { reason: string }[] = []
  for (let steps = 0; steps < most && trying.round.phase !== 'over'; steps++) {
    const [item] = trying.open
    if (!isOwnGo(trying)) trying = othersStep(trying)
    else if (item) {
      const wrong = slips(item)[0]
      if (++asked % 3 === 0 && wrong && trying.wrong.length === 0) {
        trying = answer(trying, wrong.answer)
        expect(trying.open[0]).toEqual(item)
        told.push(wrong)
      }
      trying = answer(trying, item.answer)
    } else if (trying.round.phase === 'roll') trying = deviceUsed(trying)
    else {
      const legal = movesOf(trying.round)
      trying = legal.length === 0 ? pass(trying) : chooseMove(trying, legal[0])
    }
  }
  return { trying, asked, told }
}

test.each(games.map(({ id }) => [id] as const))(
  '%s: a person plays it, right and wrong answers are told apart',
  (id) => {
    const game = gameOf(id)
    const players = Math.max(2, game.players.min)
    const company = game.players.max > 1 ? 'novice' : 'alone'
    const playing = company === 'alone' ? 1 : Math.min(players, game.players.max)
    const { trying, asked, told } = playOut(beginTrying(id, game.levels[0].params, playing, company, 5))
    const [steps, reasons] = [practised(trying), slipsIn(trying.done)]
    expect(trying.done).toHaveLength(asked)
    expect(trying.done.filter(({ wrong }) => wrong.length > 0)).toHaveLength(told.length)
    expect(steps.reduce((sum, { of, right }) => sum + of - right, 0)).toBe(told.length)
    expect(steps.reduce((sum, { of }) => sum + of, 0)).toBe(asked)
    expect(reasons.reduce((sum, { count }) => sum + count, 0)).toBe(told.length)
    const byStep = steps.flatMap(({ slips: at }) => at.map(({ count }) => count))
    expect(byStep.reduce((sum, count) => sum + count, 0)).toBe(told.length)
  },
)

test('nothing fits: saying so passes the go on; where something fits it is looked at again', () => {
  const { params } = usualLevel(gameOf('landfall'))
  const start = beginTrying('landfall', { ...params, start: 8 }, 1, 'alone', 1)
  const stuck = deviceUsed(start, [5])
  expect(stuck.open).toEqual([])
  expect(pass(stuck).round.phase).toBe('roll')
  const perch = deviceUsed(beginTrying('tower-bay', gameOf('tower-bay').levels[0].params, 1, 'alone', 1))
  expect(pass(perch).lookAgain).toBe(true)
})

test('the move is chosen by the spot it ends on', () => {
  const trying = deviceUsed(beginTrying('grid-hop', gameOf('grid-hop').levels[0].params, 1, 'alone', 1), [4])
  expect([...movesBySpot(trying).keys()].sort()).toEqual(['square-4', 'square-40'])
})

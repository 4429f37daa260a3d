import { normal, seededChance } from '../chance/chance'
import { isPlausible, paceAfter, paceFactor, unknownPace } from './class-pace'
import { liking } from './liking'

test('a class that always takes half as long again is found out, and the belief narrows', () => {
  let pace = unknownPace
  for (let game = 0; game < 20; game++) pace = paceAfter(pace, 8, 12)
  expect(paceFactor(pace)).toBeCloseTo(1.5, 1)
  expect(pace.sd).toBeLessThan(unknownPace.sd / 3)
  expect(pace.games).toBe(20)
})

test('two games weigh as their mean with half the variance would (conjugate normal, closed form)', () => {
  const two = paceAfter(paceAfter(unknownPace, 10, 14), 10, 8)
  const [a, b] = [Math.log(1.4), Math.log(0.8)]
  const precision = 1 / 0.09 + 2 / 0.1225
  expect(two.mean).toBeCloseTo((a + b) / 0.1225 / precision, 12)
  expect(two.sd).toBeCloseTo(precision ** -0.5, 12)
})

test('the true pace lies in the 95 % interval 95 times in 100, for classes drawn from the prior', () => {
  const chance = seededChance(12)
  const rounds = 2000
  let inside = 0
  for (let round = 0; round < rounds; round++) {
    const truth = 0.3 * normal(chance)
    let pace = unknownPace
    for (let game = 0; game < 4; game++)
      pace = paceAfter(pace, 10, 10 * Math.exp(truth + 0.35 * normal(chance)))
    if (Math.abs(pace.mean - truth) < 1.96 * pace.sd) inside++
  }
  // Four standard errors: 0.0195.
  expect(Math.abs(inside / rounds - 0.95)).toBeLessThan(0.0195)
})

test('the factor stays within what the pace model takes, and a game takes some time', () => {
  let pace = unknownPace
  for (let game = 0; game < 200; game++) pace = paceAfter(pace, 1, 100)
  expect(paceFactor(pace)).toBe(4)
  expect(() => paceAfter(pace, 10, 0)).toThrow('some time')
})

test('liking: one half without notes, and few notes move it little', () => {
  expect(liking({ liked: 0, of: 0 })).toBe(0.5)
  expect(liking({ liked: 1, of: 1 })).toBeCloseTo(2 / 3, 12)
  expect(liking({ liked: 18, of: 20 })).toBeCloseTo(19 / 22, 12)
  expect(() => liking({ liked: 3, of: 2 })).toThrow()
})

test('a clock that nobody stopped, and a tap on the wrong game, say nothing of the class', () => {
  expect([2, 3.4, 10, 29, 120].map((minutes) => isPlausible(10, minutes))).toEqual([
    false,
    true,
    true,
    true,
    false,
  ])
})

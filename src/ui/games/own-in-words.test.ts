import { analyse, analyseInputSchema } from '@/core/analysis/analyse'
import { ownInWords } from './own-in-words'

/** What the page of a game says of the figures that only this game has. */
const saidOf = (input: object) => ownInWords(analyse(analyseInputSchema.parse({ players: 1, ...input })).own)

test('a game without figures of its own says nothing', () => {
  expect(ownInWords({})).toEqual([])
  expect(saidOf({ game: 'landfall' })).toEqual([])
})

test('Number in the Fog: halving finds one of so many numbers in as many questions as powers of two reach them', () => {
  const questions = ['to-5', 'to-10', 'to-12', 'to-20', 'to-30'].map((level) =>
    saidOf({ game: 'fog-number', level, players: 2 }).find((said) => said.startsWith('Halving')),
  )
  // 6, 11, 13, 21 and 31 numbers: 2³ = 8, 2⁴ = 16, 2⁵ = 32 (arithmetic).
  expect(questions).toEqual(
    ['three', 'four', 'four', 'five', 'five'].map((many) => `Halving takes ${many} questions at most.`),
  )
})

test('Hidden Corner: as many cards as there are pairs of parts', () => {
  // Pairs of 0 to n in any order: (n + 1)(n + 2) ÷ 2 (arithmetic).
  for (const [level, high] of [
    ['totals-3', 3],
    ['totals-4', 4],
    ['totals-7', 7],
    ['totals-10', 10],
  ] as const)
    expect(saidOf({ game: 'hidden-corner', level, players: 2 })).toEqual([
      `There are ${((high + 1) * (high + 2)) / 2} different cards.`,
    ])
})

test('Switchback: the numbers called, and where two turns follow at once', () => {
  const [called, together] = saidOf({
    game: 'switchback',
    params: { multiple: 7, to: 100, digitRule: true, children: 6 },
  })
  const calls = /^Called: (.*)\.$/.exec(called)![1].split(', ').map(Number)
  for (const number of calls) expect(number % 7 === 0 || String(number).includes('7')).toBe(true)
  expect(calls.slice(0, 4)).toEqual([7, 14, 17, 21])
  // 27 and 28, 70 to 79: by counting on fingers.
  expect(together).toMatch(/^Two turns follow at once at 27 and 28, .*70 and 71/)
})

test('shares stand as times in a hundred', () => {
  expect(ownInWords({ catchShare: 0.666, cleared: 0.0649, score: { mean: 12.04 } })).toEqual([
    'Best play leaves 12 uncovered on average.',
    'Playing for it, all is covered 6 times in 100.',
    '67 fresh deals in 100 hold a catch.',
  ])
})

test('figures of another shape are refused', () => {
  expect(() => ownInWords({ calls: 'seven' })).toThrow()
})

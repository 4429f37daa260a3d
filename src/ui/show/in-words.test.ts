import { seededChance } from '@/core/chance/chance'
import { slipReasons, strands, type PracticeItem } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import { hintFor, moveInWords, oftenInWords, promptFor, slipInWords } from './in-words'

/** Sixty tasks of every step of every strand. */
const items: PracticeItem[] = strands.flatMap(({ id, steps }) =>
  steps.flatMap((step) =>
    Array.from(
      { length: 60 },
      (_, seed) => taskFor({ strand: id, step: step.id }, seededChance(seed + 1)).item,
    ),
  ),
)
const numbersIn = (text: string) => (text.match(/\d+/g) ?? []).map(Number)

test('every task of every step has something to ask and a hint, and neither says the answer', () => {
  expect(new Set(items.map(({ op }) => op)).size).toBeGreaterThan(15)
  const said = items.flatMap((item) => {
    const given = Object.entries(item).flatMap(([key, value]) =>
      key !== 'answer' && typeof value === 'number' ? [value] : [],
    )
    const words = [promptFor(item, undefined), promptFor(item, 'move'), hintFor(item)]
    for (const line of words) expect(line.length).toBeGreaterThan(3)
    // A number that is in the question may be said again, even where the answer happens to be the same.
    return words.flatMap(numbersIn).some((number) => number === item.answer && !given.includes(number))
      ? [item]
      : []
  })
  expect(said).toEqual([])
})

test('a hint keeps the larger number in mind, and nothing where none is added', () => {
  expect(hintFor({ op: 'add', a: 3, b: 8, answer: 11 })).toBe('Keep 8 in your head. Tell a partner.')
  for (const [a, b] of [
    [7, 0],
    [0, 7],
  ])
    expect(hintFor({ op: 'add', a, b, answer: 7 })).toBe('None more. Tell a partner.')
  expect(hintFor({ op: 'change', price: 16, paid: 20, answer: 4 })).toBe(
    'Go on from 16 to 20. Tell a partner.',
  )
})

test('adding on a track asks where one lands, elsewhere how many; a difference asks for more', () => {
  const add = { op: 'add', a: 3, b: 8, answer: 11 } as const
  expect(promptFor(add, 'move')).toBe('Where will it land?')
  expect(promptFor(add, 'cover')).toBe('How many altogether?')
  const subtract = { op: 'subtract', a: 9, b: 3, answer: 6 } as const
  expect(promptFor(subtract, undefined)).toBe('How many are left?')
  expect(promptFor({ ...subtract, compared: true }, undefined)).toBe('How many more?')
})

test('every reason of a slip is a sentence of its own', () => {
  const sentences = slipReasons.map((reason) => slipInWords[reason])
  expect(new Set(sentences).size).toBe(slipReasons.length)
  for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/)
})

test('how often a case comes is told no finer than it was tried', () => {
  expect([1, 0.95, 0.94, 0.5, 0.25, 0.1, 0.02, 0.019, 0].map(oftenInWords)).toEqual([
    'in nearly every game',
    'in nearly every game',
    'in most games',
    'in most games',
    'in 1 game of 4',
    'in 1 game of 10',
    'in 1 game of 50',
    'rarely',
    'rarely',
  ])
})

test('a move is told with its numbers in a list that can be read aloud', () => {
  expect(moveInWords({ verb: 'move', numbers: [4, 3, 7], spots: [] })).toBe('From 4 to 7')
  expect(moveInWords({ verb: 'cover', numbers: [2, 3, 5], spots: [] })).toBe('Cover 2, 3 and 5')
  expect(moveInWords({ verb: 'keep', numbers: [], spots: [] })).toBe('Keep none')
  expect(moveInWords({ verb: 'ask', numbers: [6], spots: [], player: 1 })).toBe('Ask player 2 for 6')
  expect(moveInWords({ verb: 'ask', numbers: [50], spots: [] })).toBe('Is it more than 50?')
})

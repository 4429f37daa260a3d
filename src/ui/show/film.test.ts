import { gameOf, usualLevel } from '@/core/games'
import { itemAsked, type PracticeItem } from '@/core/skills'
import { again, back, begin, current, isOver, next, withCase } from './film'
import { hintFor, moveInWords, oftenInWords, promptFor } from './in-words'

const film = () => begin('landfall', usualLevel(gameOf('landfall')).params, 1, 4)

test('on and back is the identity, as often as one likes', () => {
  let here = film()
  const seen = [current(here)]
  while (seen.length < 16 && !isOver(here)) {
    here = next(here)
    seen.push(current(here))
  }
  expect(seen.length).toBeGreaterThan(8)
  for (let step = seen.length - 2; step >= 0; step--) {
    here = back(here)
    expect(current(here)).toBe(seen[step])
  }
  expect(back(here)).toEqual(here)
})

test('at the end next changes nothing', () => {
  let here = film()
  for (let step = 0; step < 400 && !isOver(here); step++) here = next(here)
  expect(isOver(here)).toBe(true)
  expect(next(here)).toEqual(here)
})

test('a go is rolled again: with other luck, or with what real dice showed', () => {
  const asked = next(next(film()))
  const given = again(asked, [5])
  expect(current(given).faces).toEqual([5])
  expect(given.at).toBe(1)
  const lucks = new Set(
    Array.from({ length: 20 }, (_, luck) => current(again(asked, undefined, luck)).faces[0]),
  )
  expect(lucks.size).toBeGreaterThan(2)
})

test('a case that is asked for comes with the next goes', () => {
  let here = withCase(film(), 'waits')!
  for (let step = 0; step < 4 && !current(here).waits; step++) here = next(here)
  expect(current(here).waits).toBe(true)
  expect(withCase(film(), 'sent-back')).toBeNull()
})

test('words: a question with its gap, a prompt, a move', () => {
  const item: PracticeItem = { op: 'add', a: 11, b: 6, answer: 17 }
  expect(itemAsked(item)).toBe('11 + 6 = ?')
  expect(promptFor(item, 'move')).toBe('Where will it land?')
  expect(promptFor(item, undefined)).toBe('How many altogether?')
  expect(hintFor(item)).toBe('Keep 11 in your head. Tell a partner.')
  expect(moveInWords({ verb: 'move', numbers: [6, 5, 11], spots: [] })).toBe('From 6 to 11')
  expect(moveInWords({ verb: 'cover', numbers: [3, 4], spots: [] })).toBe('Cover 3 and 4')
  expect(moveInWords({ verb: 'ask', numbers: [10], spots: [] })).toBe('Is it more than 10?')
  expect(moveInWords({ verb: 'ask', numbers: [3], spots: [], player: 1 })).toBe('Ask player 2 for 3')
  expect(moveInWords({ verb: 'let-go', numbers: [], spots: [] })).toBe('Keep them all')
})

test('how often a case comes up is told no finer than a sample tells it', () => {
  expect([1, 0.6, 0.49, 0.1, 0.01].map(oftenInWords)).toEqual([
    'in nearly every game',
    'in most games',
    'in 1 game of 2',
    'in 1 game of 10',
    'rarely',
  ])
})

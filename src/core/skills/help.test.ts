import { countedAlong, pictureOfItem } from './help'

test('counting along goes by ones from what is there and stops before the answer', () => {
  expect(countedAlong({ op: 'add', a: 3, b: 8, answer: 11 })).toBe('8, 9, 10, …')
  expect(countedAlong({ op: 'subtract', a: 9, b: 3, answer: 6 })).toBe('9, 8, 7, …')
  expect(countedAlong({ op: 'add', a: 7, b: 0, answer: 7 })).toBe('It stays 7.')
})

test('where the way is the answer, all of it is said and the child counts how many: what is missing, change of a price', () => {
  expect(countedAlong({ op: 'missing', part: 6, whole: 10, answer: 4 })).toBe(
    'From 6: 7, 8, 9, 10. How many?',
  )
  // As a shopkeeper gives it: up from the price to what was paid (common practice, no source).
  const change = countedAlong({ op: 'change', price: 16, paid: 20, answer: 4 })
  expect(change).toBe('From 16: 17, 18, 19, 20. How many?')
  expect(change.match(/\d+/g)!.slice(1)).toHaveLength(4)
})

test('a long way and what is not counted is shown by a partner', () => {
  for (const item of [
    { op: 'add', a: 40, b: 25, answer: 65 },
    { op: 'change', price: 2, paid: 20, answer: 18 },
    { op: 'multiply', a: 3, b: 4, answer: 12 },
  ] as const)
    expect(countedAlong(item)).toBe('Ask a partner to show you.')
})

test('a picture shows what is there, never the answer, and no crowd', () => {
  expect(pictureOfItem({ op: 'add', a: 3, b: 8, answer: 11 })).toEqual([
    { kind: 'objects', n: 3 },
    { kind: 'objects', n: 8 },
  ])
  expect(pictureOfItem({ op: 'subtract', a: 9, b: 3, answer: 6 })).toEqual([{ kind: 'objects', n: 9 }])
  expect(pictureOfItem({ op: 'missing', part: 6, whole: 10, answer: 4 })).toEqual([{ kind: 'objects', n: 6 }])
  expect(pictureOfItem({ op: 'tens', tens: 3, ones: 4, answer: 34 })).toEqual([
    { kind: 'tens', tens: 3, ones: 4 },
  ])
  expect(pictureOfItem({ op: 'add', a: 40, b: 25, answer: 65 })).toBeNull()
  expect(pictureOfItem({ op: 'change', price: 16, paid: 20, answer: 4 })).toBeNull()
})

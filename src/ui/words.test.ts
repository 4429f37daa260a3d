import { agoInWords, dayInShort, dayInWords, oneDecimal, many, reasonInWords } from './words'

test('numbers as a teacher reads them', () => {
  expect([oneDecimal(7.6), oneDecimal(7), oneDecimal(61.2)]).toEqual(['7.6', '7', '61'])
  expect([many(1, 'child', 'children'), many(3, 'child', 'children'), many(2, 'station')]).toEqual([
    '1 child',
    '3 children',
    '2 stations',
  ])
})

test('days, and how long ago in school days', () => {
  // 2026-11-24 is a Tuesday (ISO 8601 calendar).
  expect(dayInWords('2026-11-24')).toBe('Tuesday 24 November')
  expect(dayInShort('2026-11-24')).toBe('24 Nov')
  expect([0, 1, 3, 10, 24].map(agoInWords)).toEqual([
    'today',
    'yesterday',
    'three school days ago',
    'two weeks ago',
    'five weeks ago',
  ])
})

test('a reason says what it rests on; a child is never called low or behind', () => {
  const countOn = 'count-on-10'
  const said = [
    { kind: 'ready', own: 8, of: 10, days: 3 },
    { kind: 'hard', own: 1, of: 9, days: 2 },
    { kind: 'another-look', why: 'one-day', own: 3, of: 3, days: 1 },
    { kind: 'another-look', why: 'not-seen', days: null },
    { kind: 'another-look', why: 'not-seen', days: 12 },
    { kind: 'another-look', why: 'not-clear', own: 0, of: 2, days: 1 },
    { kind: 'right', own: 3, of: 5, days: 2 },
  ] as const
  const texts = said.map((suggestion) => reasonInWords(suggestion, 'add', countOn))
  expect(texts).toEqual([
    'may be ready: 8 of 10 alone at “count on to 10”, on three days',
    'finds “count on to 10” hard: 1 of 9 alone, on two days',
    'looks secure at “count on to 10”: 3 of 3 alone, but on one day only; one more look',
    'nothing seen yet; one look would help',
    'last seen two weeks ago; one look would help',
    'works at “count on to 10”: none of 2 alone; too little seen to say more, one check would help',
    'works at the right step: 3 of 5 alone at “count on to 10”',
  ])
  for (const text of texts) expect(text).not.toMatch(/\b(low|high|behind|weak|bottom|top)\b/i)
})

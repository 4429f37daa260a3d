import type { Advice } from '@/core/analysis/advice'
import type { NamedFit } from '@/server/suggestions'
import {
  adviceInWords,
  agoInWords,
  dayInShort,
  dayInWords,
  fitInWords,
  minutesInWords,
  oneDecimal,
  many,
  paceInWords,
  reasonInWords,
  spelled,
  zoneInShort,
} from './words'

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
    'was seen at “count on to 10”: none of 2 alone; too little to say more, one check would help',
    'works at the right step: 3 of 5 alone at “count on to 10”',
  ])
  for (const text of texts) expect(text).not.toMatch(/\b(low|high|behind|weak|bottom|top)\b/i)
})

test('minutes are told no finer than they are guessed', () => {
  expect([0.1, 0.5, 0.8, 1, 1.3, 2, 2.6].map(minutesInWords)).toEqual([
    'about half a minute',
    'about half a minute',
    'about a minute',
    'about a minute',
    'about 1½ minutes',
    'about 2 minutes',
    'about 2½ minutes',
  ])
})

test('who is in its zone is counted of those known; who is not known is told apart', () => {
  expect(zoneInShort({ fitting: 3, known: 4, notKnown: 0 })).toBe('3 of 4 in zone')
  expect(zoneInShort({ fitting: 3, known: 4, notKnown: 2 })).toBe('3 of 4 in zone, 2 not known yet')
  expect(zoneInShort({ fitting: 0, known: 0, notKnown: 6 })).toBe('nobody known yet')
})

test('small numbers are spelled out, larger ones not', () => {
  expect([0, 1, 10, 11].map(spelled)).toEqual(['no', 'one', 'ten', '11'])
})

test('what would fit is named with the success that was worked out; where nothing would, that', () => {
  const fit = {
    gameId: 'g',
    levelId: 'l',
    success: 0.78,
    game: 'Tower Bay',
    level: '1 to 5',
    playsNow: 'Landfall',
  }
  expect(
    (['as-now', 'other-level', 'other-game'] as const).map((kind) =>
      fitInWords({ ...fit, kind } as NamedFit),
    ),
  ).toEqual([
    'Tower Bay, 1 to 5, still fits: 8 in 10 right alone.',
    'Tower Bay, 1 to 5, would fit: 8 in 10 right alone.',
    'No level of Landfall fits now. Tower Bay, 1 to 5, would: 8 in 10 right alone.',
  ])
  expect(fitInWords({ ...fit, kind: 'none', insteadOf: 'landfall' })).toBe('No level of any game fits now.')
})

describe('advice says what was found by trying it', () => {
  const before = { goes: 61.2, finishInSlot: 0.15, deadShare: 0.31, waitingShare: 0.5 }
  const after = { goes: 7.6, finishInSlot: 0.92, deadShare: 0.004, waitingShare: 0.25 }
  const advice = (part: Partial<Advice>) =>
    adviceInWords({ change: 'let-passing-count', why: 'finishes', before, after, ...part } as Advice)

  test('that it ends in the slot, with both shares', () => {
    expect(advice({}).found).toBe('Finishes 92 times in 100 instead of 15.')
  })
  test('that fewer goes are lost, and how long it takes then', () => {
    expect(advice({ why: 'less-dead' }).found).toBe(
      'In 31 of 100 goes a child can only wait; then in none. 7.6 goes instead of 61.',
    )
    const as = { ...after, goes: 61.2 }
    expect(advice({ why: 'less-dead', after: as } as Partial<Advice>).found).toMatch(
      /The game stays as long\.$/,
    )
    const open = { ...after, goes: null }
    expect(advice({ why: 'less-dead', after: open } as Partial<Advice>).found).toMatch(/then in none\. $/)
  })
  test('that there is less waiting', () => {
    expect(advice({ why: 'less-waiting' } as Partial<Advice>).found).toBe(
      'A child waits 25 % of the time instead of 50 %.',
    )
  })
  test.each<[Partial<Advice>, string]>([
    [{ change: 'fewer-spaces', amount: 6 }, 'Make it six spaces'],
    [{ change: 'fewer-hazards', amount: 1 }, 'Only one squall'],
    [{ change: 'fewer-hazards', amount: 2 }, 'Only two squalls'],
    [{ change: 'fewer-cards', amount: 12 }, 'Use 12 cards'],
    [{ change: 'fewer-rounds', amount: 5 }, 'Stop after 5'],
    [{ change: 'fewer-rounds', amount: undefined }, 'Make it shorter'],
    [{ change: 'fewer-tokens', amount: 5 }, 'Play with five'],
    [{ change: 'shorter-track', amount: 20 }, 'A shorter way: 20'],
    [{ change: 'smaller-sets', amount: 2 }, 'Play in sets of two'],
  ])('%j is headed “%s”', (part, heading) => {
    expect(advice(part).heading).toBe(heading)
  })
})

test('whose pace minutes are told by, and from how many games that is known', () => {
  expect(paceInWords({ factor: 1.2, games: 0 })).toBeNull()
  expect(paceInWords({ factor: 1.2, games: 14 })).toBe(
    'At this class’s own pace: 20 % longer than usual (from 14 timed games).',
  )
  expect(paceInWords({ factor: 0.9, games: 1 })).toBe(
    'At this class’s own pace: 10 % shorter than usual (from 1 timed game).',
  )
  expect(paceInWords({ factor: 1.001, games: 3 })).toBe(
    'At this class’s own pace, which is the usual one (from 3 timed games).',
  )
})

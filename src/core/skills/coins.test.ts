import { seededChance } from '../chance/chance'
import { pagesInCoinage } from '../printing/in-coinage'
import { textsOf } from '../games/texts'
import { coinValues, fewestCoins, inCoinage } from './coins'
import { isTrue, placeOf, sentenceOf, type PracticeItem } from './index'
import { taskFor } from './tasks'

test('the fewest coins are as few as an exhaustive search finds, for every price to 100', () => {
  // The usual recurrence for making change: fewest(n) is one more than the least fewest(n - coin).
  const fewest = [0]
  for (let price = 1; price <= 100; price++)
    fewest[price] =
      1 + Math.min(...coinValues.filter((coin) => coin <= price).map((coin) => fewest[price - coin]))
  for (let price = 1; price <= 100; price++) {
    const coins = fewestCoins(price)
    expect([price, coins.length]).toEqual([price, fewest[price]])
    expect(coins.reduce<number>((sum, coin) => sum + coin, 0)).toBe(price)
  }
})

test('a sum known by heart is another step than the same sum worked out', () => {
  const sum = { op: 'add', a: 6, b: 3, answer: 9 } as const
  expect(placeOf(sum)).toEqual({ strand: 'add', step: 'count-on-10' })
  expect(placeOf({ ...sum, known: true })).toEqual({ strand: 'recall', step: 'recall-10' })
  expect(placeOf({ op: 'subtract', a: 15, b: 8, answer: 7, known: true }).step).toBe('recall-20')
  // Beyond the table of adding nothing is known by heart.
  expect(placeOf({ op: 'add', a: 34, b: 8, answer: 42, known: true }).strand).toBe('add')
})

test('writing a numeral is another step than reading it, to a hundred', () => {
  const at = (answer: number, write?: true) => placeOf({ op: 'numeral', answer, write }).step
  expect([7, 14, 63, 112].map((n) => at(n))).toEqual([
    'numerals-10',
    'numerals-20',
    'numerals-100',
    'numerals-120',
  ])
  expect([7, 14, 63, 112].map((n) => at(n, true))).toEqual([
    'write-10',
    'write-20',
    'write-100',
    'numerals-120',
  ])
})

test.each<[PracticeItem, string, string]>([
  [{ op: 'coins', coins: [5, 5, 5], answer: 15 }, 'like-coins-20', '5 + 5 + 5 = 15'],
  [{ op: 'coins', coins: [5, 20, 2], answer: 27 }, 'coins-50', '5 + 20 + 2 = 27'],
  [{ op: 'pay', price: 8, answer: 3 }, 'pay-10', '8 = 5 + 2 + 1'],
  [{ op: 'pay', price: 37, answer: 4 }, 'coins-50', '37 = 20 + 10 + 5 + 2'],
  [{ op: 'change', price: 7, paid: 10, answer: 3 }, 'change-20', '10 − 7 = 3'],
])('coins: %j', (item, step, sentence) => {
  expect(isTrue(item)).toBe(true)
  expect(isTrue({ ...item, answer: item.answer + 1 })).toBe(false)
  expect(placeOf(item)).toEqual({ strand: 'coins', step })
  expect(sentenceOf(item)).toBe(sentence)
})

test('a class reads tasks, rules and pages in what it calls its coins', () => {
  expect(inCoinage('One shell, eight shells. Shells!', 'pence')).toBe('One penny, eight pence. Pence!')
  expect(inCoinage('a shelled pea', 'cents')).toBe('a shelled pea')
  const place = { strand: 'coins', step: 'change-20' } as const
  const ask = (coinage?: 'cents') => taskFor(place, seededChance(3), coinage).say
  expect(ask()).toMatch(/ shells /)
  expect(ask('cents')).toBe(ask().replace('shells', 'cents'))
  const rules = (coinage?: 'pence') =>
    textsOf('quay-stall', { kind: 'coins-alike', turn: 10 }, coinage).rules.join()
  expect(rules()).toMatch(/fifteen shells/)
  expect(rules('pence')).toMatch(/fifteen pence/)
  const text = {
    op: 'text',
    x: 0,
    y: 0,
    size: 4,
    text: 'fifteen shells',
    font: 'words',
    fill: 'ink',
  } as const
  const page = {
    width: 210,
    height: 297,
    title: 'a card',
    marks: [{ op: 'group', id: 'a', x: 0, y: 0, marks: [text] }],
  }
  expect(JSON.stringify(pagesInCoinage([page as never], 'pence'))).toContain('fifteen pence')
})

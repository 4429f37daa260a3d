import { asTyped, ringTyped, tallyTyped } from './typed'

test('rings are 1, 2 and 3, in the order in which they stand on the sheet; 0 takes one away', () => {
  expect(['1', '2', '3'].map((key) => ringTyped(key)?.judged)).toEqual(['own', 'help', 'notYet'])
  expect(ringTyped('0')).toEqual({ judged: null, right: null, of: null })
  expect(['4', 'a', '', 'Enter', '10'].map(ringTyped)).toEqual([null, null, null, null, null])
})

test('right of so many, with the number of the sheet or its own; what is neither says why', () => {
  expect(tallyTyped('7', 10)).toEqual({ judged: null, right: 7, of: 10 })
  expect(tallyTyped(' 7/8 ', 10)).toEqual({ judged: null, right: 7, of: 8 })
  expect(tallyTyped('7 of 8', 10)).toEqual({ judged: null, right: 7, of: 8 })
  expect(tallyTyped('', 10)).toEqual({ judged: null, right: null, of: null })
  expect(tallyTyped('11', 10)).toBe('More right than 10.')
  expect(tallyTyped('0/0', 10)).toBe('From 1 to 100 on a sheet.')
  for (const text of ['x', '-1', '7.5', '7//8', '1e3'])
    expect(tallyTyped(text, 10)).toBe('A number, or 7 of 10.')
})

test('what was typed reads as it was typed', () => {
  for (const text of ['7', '0', '7 of 8', ''])
    expect(asTyped(tallyTyped(text, 10) as Exclude<ReturnType<typeof tallyTyped>, string>, 10)).toBe(text)
})

import { classInWords } from './class-in-words'

test('a class is said to be seen where each child was within ten school days, and told how many were not', () => {
  expect(classInWords([])).toBe('No children yet')
  expect(classInWords([null, null])).toBe('2 children, none seen yet')
  expect(classInWords([0, 3, 9])).toBe('3 children, all seen in the last two weeks')
  expect(classInWords([0, 10, null])).toBe('3 children, 2 not seen in the last two weeks')
  expect(classInWords([4])).toBe('1 child, all seen in the last two weeks')
})

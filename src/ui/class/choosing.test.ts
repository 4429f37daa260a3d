import { choose, chooseAll, nobody } from './choosing'

const order = [...'abcdef']
const ids = (chosen: { ids: ReadonlySet<string> }) => [...chosen.ids].sort().join('')

test('one by one, and again to leave it', () => {
  const one = choose(nobody, order, 'b', false)
  expect(ids(one)).toBe('b')
  expect(ids(choose(one, order, 'd', false))).toBe('bd')
  expect(ids(choose(one, order, 'b', false))).toBe('')
})

test('a range from the last one, up or down, as that one was', () => {
  const from = choose(nobody, order, 'd', false)
  expect(ids(choose(from, order, 'f', true))).toBe('def')
  expect(ids(choose(from, order, 'a', true))).toBe('abcd')
  const all = chooseAll(nobody, order)
  const without = choose(all, order, 'b', false)
  expect(ids(choose(without, order, 'd', true))).toBe('aef')
})

test('a range without a beginning is one child', () => {
  expect(ids(choose(nobody, order, 'c', true))).toBe('c')
})

test('all of a group, and none of it when all were chosen; others stay as they are', () => {
  const one = choose(nobody, order, 'f', false)
  const group = chooseAll(one, ['a', 'b'])
  expect(ids(group)).toBe('abf')
  expect(ids(chooseAll(group, ['a', 'b']))).toBe('f')
  expect(ids(chooseAll(choose(one, order, 'a', false), ['a', 'b']))).toBe('abf')
})

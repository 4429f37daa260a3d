import { twoInstead } from './two-instead'

const game = (gameId: string, strand: 'add' | 'count') => ({
  gameId,
  title: gameId,
  strand,
  fitting: 4,
  known: 5,
})
const others = [game('a', 'add'), game('b', 'count'), game('c', 'add'), game('d', 'count'), game('e', 'add')]
const ids = (planned: string[], strand?: 'add' | 'count') =>
  twoInstead(others, planned, strand).map(({ gameId }) => gameId)

test('two instead of a game: those of its strand first, in their order; none that has a station', () => {
  expect(ids([], 'count')).toEqual(['b', 'd'])
  expect(ids(['b'], 'count')).toEqual(['d', 'a'])
  expect(ids(['a', 'c', 'e'], 'add')).toEqual(['b', 'd'])
  expect(ids(['a'])).toEqual(['b', 'c'])
  expect(ids(['a', 'b', 'c', 'd'], 'add')).toEqual(['e'])
  expect(ids(['a', 'b', 'c', 'd', 'e'])).toEqual([])
})

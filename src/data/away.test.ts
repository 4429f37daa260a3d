import { runInNewContext } from 'node:vm'
import { DatabaseAway, isAway } from './away'
import { sqlStateOf } from './transaction'

test('a line that broke is told however it was wrapped up, also by an error of another realm', () => {
  const ofNode = runInNewContext(
    `Object.assign(new Error('read ECONNRESET'), { code: 'ECONNRESET' })`,
  ) as Error
  expect(ofNode).not.toBeInstanceOf(Error)
  expect(isAway(new Error('Failed query', { cause: ofNode }))).toBe(true)
  expect(isAway(new Error('page', { cause: new DatabaseAway() }))).toBe(true)
})

test('a refused statement is no broken line, and its state is found', () => {
  const refused = new Error('Failed query', {
    cause: Object.assign(new Error('duplicate key'), { code: '23505' }),
  })
  expect(isAway(refused)).toBe(false)
  expect(sqlStateOf(refused)).toBe('23505')
  expect(sqlStateOf(new Error('of ours'))).toBeUndefined()
  expect(isAway(undefined)).toBe(false)
})

import { DatabaseAway } from './away'
import { openServerDatabase } from './server-database'
import { isStopping, stopping, whenStopping } from './when-stopping'

test('what was asked for is done at its moment, once for each name; what fails holds up nothing else', async () => {
  const done: string[] = []
  whenStopping('last', 'fails', () => {
    throw new Error('gone already')
  })
  whenStopping('last', 'folder', () => done.push('folder of before'))
  whenStopping('last', 'folder', async () => {
    await Promise.resolve()
    done.push('folder')
  })
  whenStopping('first', 'devices', () => done.push('devices'))
  await stopping('first')
  expect(done).toEqual(['devices'])
  expect(isStopping()).toBe(false)
  await stopping('last')
  expect(done).toEqual(['devices', 'folder'])
  expect(isStopping()).toBe(true)
  // What was held is given back: it is not opened again by a page that was still under way.
  await expect(openServerDatabase()).rejects.toBeInstanceOf(DatabaseAway)
})

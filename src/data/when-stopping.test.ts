import { stopping, whenStopping } from './when-stopping'

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
  await stopping('last')
  expect(done).toEqual(['devices', 'folder'])
})

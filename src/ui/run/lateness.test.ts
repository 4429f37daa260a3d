/** A device that has been told the server’s time: by how much its own is ahead is kept in the browser. */
function device(aheadMs: number | null, openedAt: number) {
  const kept = new Map<string, string>()
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  }
  Object.assign(globalThis, { window: {}, localStorage: storage })
  jest.useFakeTimers({ now: openedAt })
  jest.resetModules()
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- anew for each device: it remembers when it was opened
  const { latenessOf, noteServerTime } = require('./lateness') as typeof import('./lateness')
  if (aheadMs !== null) noteServerTime(openedAt - aheadMs)
  return { latenessOf, storage }
}

afterEach(() => {
  jest.useRealTimers()
  for (const name of ['window', 'localStorage']) Reflect.deleteProperty(globalThis, name)
})

const tuesday = Date.UTC(2026, 10, 24, 10, 20)

test('a page from the server is not late, by whatever its clock is out', () => {
  for (const ahead of [0, 90_000, -600_000])
    expect(device(ahead, tuesday).latenessOf(tuesday - ahead - 800)).toBe(0)
})

test('a page from the cache is as old as the server’s clock says, not the device’s', () => {
  // Ten minutes ahead: by its own clock it would be twelve minutes late, not two.
  const { latenessOf } = device(600_000, tuesday)
  expect(latenessOf(tuesday - 600_000 - 120_000)).toBe(120_000)
})

test('a device that was never told the time, or keeps nothing, shows the page as it is', () => {
  expect(device(null, tuesday).latenessOf(tuesday - 120_000)).toBe(0)
  const { latenessOf, storage } = device(0, tuesday)
  storage.getItem = () => {
    throw new Error('Nothing is kept in a private window.')
  }
  expect(latenessOf(tuesday - 120_000)).toBe(0)
})

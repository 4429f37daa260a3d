import { counters, shareTaken } from './taken.cjs'

// The layout is that of proc(5): user nice system idle iowait irq softirq steal guest guest_nice.
const at = (...ticks: number[]) => `cpu  ${ticks.join(' ')} 0 0\ncpu0 1 2 3 4 5 6 7 8 0 0\n`

test('a fifth of the time that passed was given to other machines', () => {
  expect(shareTaken(at(100, 0, 10, 500, 0, 0, 0, 40), at(160, 5, 15, 505, 5, 0, 0, 60))).toBeCloseTo(0.2, 12)
})

test('nothing is told where nothing passed, or nothing counts it', () => {
  const still = at(1, 2, 3, 4, 5, 6, 7, 8)
  expect(shareTaken(still, still)).toBeNull()
  expect(shareTaken(null, still)).toBeNull()
  expect(shareTaken(still, null)).toBeNull()
})

test('this machine’s own counters can be read', () => {
  const before = counters()
  if (process.platform !== 'linux') return expect(before).toBeNull()
  const until = Date.now() + 50
  while (Date.now() < until);
  const share = shareTaken(before, counters())
  expect(share).toBeGreaterThanOrEqual(0)
  expect(share).toBeLessThanOrEqual(1)
})

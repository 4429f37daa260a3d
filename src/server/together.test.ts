import { Together, type Answer } from './together'

/** Doubles numbers; refuses negative ones, breaks off at 13, and is away altogether at 99. */
function doubling() {
  const lots: number[][] = []
  const gates: (() => void)[] = []
  const together = new Together<number, number>(
    async (take) => {
      await new Promise<void>((resolve) => gates.push(resolve))
      const lot = [...take()]
      lots.push(lot)
      if (lot.includes(99)) throw new Error('away')
      if (lot.includes(13)) throw new Error('broken off')
      return lot.map((n): Answer<number> => (n < 0 ? { refused: new Error('negative') } : { done: 2 * n }))
    },
    (error) => (error as Error).message === 'away',
  )
  /** Lets all lots through, one after the other, until nothing waits. */
  const letThrough = async () => {
    for (let idle = 0; idle < 5; idle++) {
      const open = gates.shift()
      if (open) idle = 0
      open?.()
      await new Promise((resolve) => setImmediate(resolve))
    }
  }
  return { together, lots, letThrough }
}

const all = (promises: Promise<number>[]) => Promise.allSettled(promises)

test('whoever comes before a lot is taken comes along; each is answered for itself', async () => {
  const { together, lots, letThrough } = doubling()
  const answers = all([1, -2, 3].map((n) => together.do('a', n)))
  await letThrough()
  expect(lots).toEqual([[1, -2, 3]])
  expect(await answers).toMatchObject([{ value: 2 }, { reason: { message: 'negative' } }, { value: 6 }])
  const later = together.do('a', 4)
  await letThrough()
  expect(await later).toBe(8)
})

test('two keys are not one lot, and a lot is not endless', async () => {
  const { together, lots, letThrough } = doubling()
  const answers = all([...Array(30).keys()].map((n) => together.do(n < 28 ? 'a' : 'b', n + 200)))
  await letThrough()
  expect(lots.map((lot) => lot.length).sort((a, b) => a - b)).toEqual([2, 4, 24])
  expect((await answers).every(({ status }) => status === 'fulfilled')).toBe(true)
})

test('one that breaks its lot off spoils it for nobody else', async () => {
  const { together, lots, letThrough } = doubling()
  const answers = all([1, 13, 3].map((n) => together.do('a', n)))
  await letThrough()
  expect(lots).toEqual([[1, 13, 3], [1], [13], [3]])
  expect(await answers).toMatchObject([{ value: 2 }, { reason: { message: 'broken off' } }, { value: 6 }])
})

test('where it is no use to try each alone, all are told at once', async () => {
  const { together, lots, letThrough } = doubling()
  const answers = all([1, 99].map((n) => together.do('a', n)))
  await letThrough()
  expect(lots).toEqual([[1, 99]])
  expect(await answers).toMatchObject([{ reason: { message: 'away' } }, { reason: { message: 'away' } }])
})

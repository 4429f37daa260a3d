import type { HeavyThread } from './pool'
import type { HeavyJobs } from './jobs'
import { remembered } from './remembered'

type Input = Parameters<HeavyJobs['pagesToPrint']>[0]

/** A thread that counts how often it is asked, and fails where it is told to. */
function counting(fails: () => boolean = () => false) {
  const asked: unknown[] = []
  const run = (_name: string, input: unknown) => {
    asked.push(input)
    return fails() ? Promise.reject(new Error('too long')) : Promise.resolve(asked.length)
  }
  return { asked, thread: { run } as unknown as HeavyThread<HeavyJobs> }
}

const about = (what: string) => ({ kept: [], source: what }) as unknown as Input

test('the same is worked out once, also while it is under way; something else anew', async () => {
  const { asked, thread } = counting()
  const both = [1, 2].map(() => remembered(thread, 'pagesToPrint', about('one pile'), 1000))
  expect(await Promise.all(both)).toEqual([1, 1])
  expect(await remembered(thread, 'pagesToPrint', about('one pile'), 1000)).toBe(1)
  expect(await remembered(thread, 'pagesToPrint', about('another pile'), 1000)).toBe(2)
  expect(asked).toHaveLength(2)
})

test('what failed is tried again', async () => {
  let broken = true
  const { asked, thread } = counting(() => broken)
  await expect(remembered(thread, 'pagesToPrint', about('a large pile'), 1000)).rejects.toThrow('too long')
  broken = false
  expect(await remembered(thread, 'pagesToPrint', about('a large pile'), 1000)).toBe(2)
  expect(asked).toHaveLength(2)
})

test('what nobody asked for longest is forgotten', async () => {
  const { asked, thread } = counting()
  await remembered(thread, 'pagesToPrint', about('first'), 1000)
  for (let i = 0; i < 29; i++) await remembered(thread, 'pagesToPrint', about(`pile ${i}`), 1000)
  await remembered(thread, 'pagesToPrint', about('first'), 1000)
  expect(asked).toHaveLength(30)
  await remembered(thread, 'pagesToPrint', about('one more'), 1000)
  await remembered(thread, 'pagesToPrint', about('first'), 1000)
  expect(asked).toHaveLength(31)
  await remembered(thread, 'pagesToPrint', about('pile 0'), 1000)
  expect(asked).toHaveLength(32)
})

test('the same class in two hands is one and the same, and another plan beside it is another job', async () => {
  const { asked, thread } = counting()
  const job = (plan: string, context: object) =>
    remembered(thread, 'workOut', { plan, context } as unknown as Parameters<HeavyJobs['workOut']>[0], 1000)
  const context = { children: ['Ama', 'Bruno'] }
  await job('three stations', context)
  // The thing itself, and another one that says the same.
  await job('three stations', context)
  await job('three stations', { children: ['Ama', 'Bruno'] })
  expect(asked).toHaveLength(1)
  await job('four stations', context)
  await job('three stations', { children: ['Ama'] })
  expect(asked).toHaveLength(3)
})

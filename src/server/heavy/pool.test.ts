import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { HeavyThread, Stopped } from './pool'

/** A thread whose jobs tell what they were given, take for ever, fail, or end the thread. */
const scriptAfter = (startMs: number) => {
  const script = join(mkdtempSync(join(tmpdir(), 'islands-thread-')), 'worker.mjs')
  writeFileSync(
    script,
    `import { parentPort } from 'node:worker_threads'
   const from = Date.now()
   while (Date.now() < from + ${startMs});
   parentPort.on('message', ({ name, input }) => {
     parentPort.postMessage({ begun: true })
     if (name === 'endless') for (;;);
     if (name === 'fails') return parentPort.postMessage({ error: 'it failed' })
     if (name === 'ends') process.exit(1)
     if (name === 'slow') { const until = Date.now() + input; while (Date.now() < until); }
     parentPort.postMessage({ result: input })
   })`,
  )
  return script
}
const script = scriptAfter(0)
type Jobs = Record<'tells' | 'slow' | 'endless' | 'fails' | 'ends', (input: number) => number>

let thread: HeavyThread<Jobs>
beforeEach(() => (thread = new HeavyThread<Jobs>(script)))
afterEach(() => thread.close())

const limitMs = 10_000
const why = (work: Promise<unknown>) =>
  work.then(
    () => 'done',
    (error: unknown) => (error instanceof Stopped ? error.why : (error as Error).message),
  )

test('one job at a time, the oldest of those that wait first; this thread stays free meanwhile', async () => {
  const order: number[] = []
  const ask = (name: 'tells' | 'slow', input: number) =>
    thread.run(name, input, { limitMs }).then((result) => order.push(result))
  let ticks = 0
  const timer = setInterval(() => ticks++, 5)
  await Promise.all([ask('slow', 300), ask('tells', 1), ask('tells', 2), ask('tells', 3)])
  clearInterval(timer)
  expect(order).toEqual([300, 1, 2, 3])
  expect(ticks).toBeGreaterThan(20)
})

test('people take turns: who asks for one thing does not wait for all that another asked for before', async () => {
  let asker = 'busy bee'
  const shared = new HeavyThread<Jobs>(script, () => asker)
  const order: string[] = []
  const ask = (who: string, name: 'tells' | 'slow', input: number) => {
    asker = who
    return shared.run(name, input, { limitMs }).then((result) => order.push(`${who} ${result}`))
  }
  await Promise.all([
    ask('one', 'slow', 100),
    ...[1, 2, 3, 4].map((n) => ask('one', 'tells', n)),
    ask('other', 'tells', 1),
    ask('other', 'tells', 2),
    ask('third', 'tells', 1),
  ])
  expect(order).toEqual([
    'one 100', 'other 1', 'third 1', 'one 1', 'other 2', 'one 2', 'one 3', 'one 4',
  ]) // prettier-ignore
  await shared.close()
})

test('what nobody waits for any more is not begun', async () => {
  let isStale = false
  const first = why(thread.run('slow', 100, { limitMs }))
  const forgotten = why(thread.run('endless', 0, { limitMs, isStale: () => isStale }))
  const wanted = why(thread.run('tells', 1, { limitMs }))
  isStale = true
  expect(await Promise.all([first, forgotten, wanted])).toEqual(['done', 'cancelled', 'done'])
})

test('what takes too long is stopped, and the next job has a new thread', async () => {
  expect(await why(thread.run('endless', 0, { limitMs: 200 }))).toBe('too-long')
  expect(await thread.run('tells', 7, { limitMs })).toBe(7)
})

test('what a thread takes to start is not counted: where others have the cores that is longer than the job', async () => {
  const late = new HeavyThread<Jobs>(scriptAfter(900))
  expect(await late.run('tells', 5, { limitMs: 400 })).toBe(5)
  expect(await why(late.run('endless', 0, { limitMs: 200 }))).toBe('too-long')
  await late.close()
})

test('what nobody wants any more is stopped, in hand or waiting', async () => {
  const [inHand, waiting] = [new AbortController(), new AbortController()]
  const endless = why(thread.run('endless', 0, { limitMs, signal: inHand.signal }))
  const behind = why(thread.run('tells', 1, { limitMs, signal: waiting.signal }))
  waiting.abort()
  expect(await behind).toBe('cancelled')
  inHand.abort()
  expect(await endless).toBe('cancelled')
  expect(await why(thread.run('tells', 1, { limitMs, signal: AbortSignal.abort() }))).toBe('cancelled')
  expect(await thread.run('tells', 2, { limitMs })).toBe(2)
})

test('a job that fails is told; a thread that ends takes only its job with it', async () => {
  expect(await why(thread.run('fails', 0, { limitMs }))).toBe('it failed')
  const [ended, next] = [why(thread.run('ends', 0, { limitMs })), thread.run('tells', 5, { limitMs })]
  expect(await ended).toBe('The thread for long work ended.')
  expect(await next).toBe(5)
})

test('of too many the last to come are told when to come again, each person’s counted apart; none that waited is lost', async () => {
  let asker = 'one'
  const shared = new HeavyThread<Jobs>(script, () => asker)
  const first = why(shared.run('slow', 100, { limitMs }))
  const all = Array.from({ length: 14 }, (_, i) => why(shared.run('tells', i, { limitMs })))
  asker = 'other'
  const other = why(shared.run('tells', 1, { limitMs }))
  const answers = await Promise.all([first, ...all])
  expect(answers.slice(0, 13)).toEqual(Array<string>(13).fill('done'))
  for (const answer of answers.slice(13))
    expect(answer).toMatch(/Try again in about (a second|\d+ seconds)\.$/)
  expect(await other).toBe('done')
  await shared.close()
})

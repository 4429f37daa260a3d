import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import type { Mark } from '@/core/evidence/mark'
import { Outbox, type QueueState } from './outbox'
import { isMark, OutboxStore } from './outbox-store'

type Answering = (mark: Mark) => Response | Promise<Response>

const stored = () => Response.json({ ok: true, value: { standing: null } })
const own = { judged: 'own' as const, right: null, of: null }
const at = (child: string) => ({ visitId: '5f1a1a1a-0000-4000-8000-000000000001', pupilId: child })
const child = (number: number) => `5f1a1a1a-0000-4000-8000-00000000010${number}`

const queues: Outbox[] = []

/** A page of the run board on a device: the same device as long as IndexedDB is the same. */
function page(answer: Answering) {
  const sent: Mark[] = []
  const states: QueueState[] = []
  const queue = new Outbox(
    '/c/c1',
    new OutboxStore('c1'),
    (state) => states.push(state),
    async (_url, init) => {
      const mark = JSON.parse(String(init?.body)) as Mark
      sent.push(mark)
      return answer(mark)
    },
  )
  queues.push(queue)
  const settled = async () => {
    await queue.flush()
    return states.at(-1)!
  }
  return { queue, sent, settled, states }
}

const left = new Map<string, string>()

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  left.clear()
  globalThis.localStorage = {
    getItem: (key: string) => left.get(key) ?? null,
    removeItem: (key: string) => void left.delete(key),
  } as Storage
})
afterEach(() => queues.splice(0).forEach((queue) => queue.close()))

test('a mark is sent once, in order, and forgotten only when it is acknowledged', async () => {
  const { queue, sent, settled } = page(stored)
  for (const number of [1, 2, 3]) await queue.add(at(child(number)), own, null)
  expect(await settled()).toEqual({
    known: true,
    waiting: [],
    aside: [],
    volatile: false,
    offline: false,
  })
  expect(sent.map(({ pupilId }) => pupilId)).toEqual([child(1), child(2), child(3)])
  const times = sent.map(({ madeAt }) => madeAt)
  expect(new Set(times).size).toBe(3)
  expect([...times].sort()).toEqual(times)
  expect(new Set(sent.map(({ observer }) => observer)).size).toBe(1)
})

test('what is told beside marks goes in the same order to a place of its own, and waits like a mark', async () => {
  let online = false
  const places: string[] = []
  const queue = new Outbox(
    '/here',
    new OutboxStore('c1'),
    (state) => states.push(state),
    async (url) => {
      if (!online) throw new TypeError('fetch failed')
      places.push(String(url))
      return stored()
    },
  )
  const states: QueueState[] = []
  queues.push(queue)
  await queue.add(at(child(1)), own, null)
  await queue.tell({ kind: 'note', pupilId: child(1), visitId: null, words: 'Counts by twos.', tags: [] })
  await queue.tell({ kind: 'liked', visitId: at(child(1)).visitId, liked: true })
  await queue.flush()
  expect(states.at(-1)).toMatchObject({ offline: true, waiting: [{}, { kind: 'note' }, { kind: 'liked' }] })
  online = true
  await queue.flush()
  expect(places).toEqual(['/here/marks', '/here/told', '/here/told'])
  expect(states.at(-1)!.waiting).toEqual([])
})

test('without a network marks wait, are told as waiting, and go after a reload', async () => {
  const lost = page(() => Promise.reject(new TypeError('fetch failed')))
  await lost.queue.add(at(child(1)), own, null)
  await lost.queue.add(at(child(2)), own, null)
  expect(await lost.settled()).toMatchObject({ offline: true, volatile: false, waiting: [{}, {}] })
  lost.queue.close()
  const again = page(stored)
  const { waiting: left, observer } = await again.queue.resume()
  const waiting = left.filter(isMark)
  expect(waiting.map(({ pupilId }) => pupilId)).toEqual([child(1), child(2)])
  expect(waiting.every((mark) => mark.observer === observer)).toBe(true)
  expect(await again.settled()).toMatchObject({ waiting: [], offline: false })
  expect(again.sent).toHaveLength(2)
})

test.each([400, 403, 404, 409, 413, 422])(
  'refused with %i: set aside with the reason, and those behind it go',
  async (status) => {
    const refusal = Response.json({ ok: false, problems: ['The child was not there.'] }, { status })
    const { queue, settled } = page((mark) => (mark.pupilId === child(1) ? refusal.clone() : stored()))
    await queue.add(at(child(1)), own, null)
    await queue.add(at(child(2)), own, null)
    const { waiting, aside } = await settled()
    expect(waiting).toEqual([])
    expect(aside).toMatchObject([{ entry: { pupilId: child(1) }, reason: 'The child was not there.' }])
  },
)

test.each([401, 408, 425, 429, 503])(
  'answered %i: it waits, and nothing is said to be saved',
  async (status) => {
    const { queue, settled } = page(() => new Response('', { status }))
    await queue.add(at(child(1)), own, null)
    expect(await settled()).toMatchObject({ waiting: [{ pupilId: child(1) }], aside: [], offline: true })
  },
)

test('a server at fault for one mark: others go past it; after eight times it is set aside', async () => {
  const { queue, settled, sent } = page((mark) =>
    mark.pupilId === child(1) ? new Response('<h1>Oh</h1>', { status: 500 }) : stored(),
  )
  await queue.add(at(child(1)), own, null)
  await queue.add(at(child(2)), own, null)
  expect(await settled()).toMatchObject({ waiting: [{ pupilId: child(1) }], aside: [] })
  for (let i = 0; i < 8; i++) await settled()
  expect(await settled()).toMatchObject({ waiting: [], aside: [{ reason: 'The server answered 500.' }] })
  expect(sent.filter(({ pupilId }) => pupilId === child(2))).toHaveLength(1)
})

test('a page of somebody else’s that answers with 200 is not taken for the server', async () => {
  const { queue, settled } = page(() => new Response('<html>Sign in to the network</html>', { status: 200 }))
  await queue.add(at(child(1)), own, null)
  expect(await settled()).toMatchObject({ waiting: [{}], offline: true })
})

test('what was set aside can be sent again or let go, and survives a reload until then', async () => {
  let refuse = true
  const answer = () => (refuse ? Response.json({ ok: false, problems: ['No.'] }, { status: 422 }) : stored())
  const first = page(answer)
  await first.queue.add(at(child(1)), own, null)
  await first.queue.add(at(child(2)), own, null)
  expect((await first.settled()).aside).toHaveLength(2)
  first.queue.close()
  const { queue, settled } = page(answer)
  await queue.resume()
  const [one, other] = (await settled()).aside
  refuse = false
  await queue.retry(one)
  await queue.letGo(other)
  expect(await settled()).toMatchObject({ waiting: [], aside: [] })
})

test('a browser that keeps nothing: marks are sent all the same, and told as not kept', async () => {
  globalThis.indexedDB = {
    open() {
      throw new DOMException('no room', 'QuotaExceededError')
    },
  } as unknown as IDBFactory
  let online = false
  const { queue, settled, sent } = page(() => (online ? stored() : Promise.reject(new TypeError())))
  await queue.add(at(child(1)), own, null)
  expect(await settled()).toMatchObject({ volatile: true, waiting: [{ pupilId: child(1) }] })
  online = true
  expect(await settled()).toMatchObject({ volatile: false, waiting: [] })
  expect(sent.at(-1)!.judged).toBe('own')
})

test('marks that the version before left waiting are taken over', async () => {
  const old = {
    id: '5f1a1a1a-0000-4000-8000-0000000000aa',
    ...at(child(4)),
    judged: 'help',
    right: null,
    of: null,
  }
  left.set(
    'islands-marks-c1',
    JSON.stringify([{ ...old, corrects: null, madeAt: '2026-11-24T10:20:00.000Z' }, 'odd']),
  )
  const { queue, settled, sent } = page(stored)
  await queue.resume()
  await settled()
  expect(sent).toMatchObject([{ pupilId: child(4), judged: 'help' }])
  expect(left.size).toBe(0)
})

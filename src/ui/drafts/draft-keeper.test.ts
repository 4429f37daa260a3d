import type { Step } from '@/core/drafting/history'
import { DraftKeeper, type Keeping } from './draft-keeper'

interface Body {
  follows: string | null
  revision: string
  before: number
  steps: Step<number>[]
}

const json = (status: number, value: unknown) => new Response(JSON.stringify(value), { status })
const kept = () => json(200, { ok: true, value: { kept: true, savedAt: '10:02' } })
const soon = () => new Promise((resolve) => setTimeout(resolve, 0))

/** A keeper with a server that answers as told, and what the two said. */
function keeperWith(
  answer: (body: Body, nth: number) => Response | Promise<Response>,
  follows: string | null = null,
) {
  const asked: Body[] = []
  const told: Keeping<number>[] = []
  const keeper = new DraftKeeper<number>(
    '/drafts',
    'groups',
    follows,
    (keeping) => told.push(keeping),
    (async (_url: string, init: RequestInit) => {
      const body = JSON.parse(String(init.body)) as Body
      asked.push(body)
      return answer(body, asked.length)
    }) as typeof fetch,
  )
  return { keeper, asked, told }
}

describe('a draft is kept as it is worked on', () => {
  test('a step is sent at once, with what it began from; the next follows it', async () => {
    const { keeper, asked, told } = keeperWith(kept)
    keeper.take({ do: 1 }, 0, 1)
    await soon()
    keeper.take({ do: 2 }, 1, 2)
    await soon()
    expect(asked).toMatchObject([
      { follows: null, before: 0, steps: [{ do: 1 }] },
      { follows: asked[0].revision, before: 1, steps: [{ do: 2 }] },
    ])
    expect(told.at(-1)).toEqual({ state: 'kept', at: '10:02' })
  })

  test('steps taken while one is under way go together, in their order', async () => {
    let open = () => {}
    const gate = new Promise<void>((resolve) => (open = resolve))
    const { keeper, asked } = keeperWith(async (_, nth) => {
      if (nth === 1) await gate
      return kept()
    })
    keeper.take({ do: 1 }, 0, 1)
    keeper.take({ do: 2 }, 1, 2)
    keeper.take('undo', 2, 1)
    await soon()
    expect(asked).toHaveLength(1)
    open()
    await soon()
    await soon()
    expect(asked[1].steps).toEqual([{ do: 2 }, 'undo'])
  })

  test('what a search betters before it is sent is one step', async () => {
    let open = () => {}
    const gate = new Promise<void>((resolve) => (open = resolve))
    const { keeper, asked } = keeperWith(async (_, nth) => {
      if (nth === 1) await gate
      return kept()
    })
    keeper.take({ do: 1 }, 0, 1)
    keeper.take({ amend: 2 }, 1, 2)
    keeper.take({ amend: 3 }, 2, 3)
    open()
    await soon()
    await soon()
    expect(asked.map(({ steps }) => steps)).toEqual([[{ do: 1 }], [{ amend: 3 }]])
  })

  test('without an answer the same request is sent again, so that it is done once', async () => {
    jest.useFakeTimers()
    try {
      const { keeper, asked, told } = keeperWith((_, nth) =>
        nth === 1 ? Promise.reject(new Error('no')) : kept(),
      )
      keeper.take({ do: 1 }, 0, 1)
      await jest.advanceTimersByTimeAsync(0)
      expect(told.at(-1)).toEqual({ state: 'away' })
      await jest.advanceTimersByTimeAsync(3_000)
      expect(asked).toHaveLength(2)
      expect(asked[1]).toEqual(asked[0])
      expect(told.at(-1)).toEqual({ state: 'kept', at: '10:02' })
    } finally {
      jest.useRealTimers()
    }
  })

  test('a stranger’s page with status 200 is no answer', async () => {
    jest.useFakeTimers()
    try {
      const { keeper, told } = keeperWith(() => new Response('<html>', { status: 200 }))
      keeper.take({ do: 1 }, 0, 1)
      await jest.advanceTimersByTimeAsync(0)
      expect(told.at(-1)).toEqual({ state: 'away' })
      keeper.follow(null)
    } finally {
      jest.useRealTimers()
    }
  })

  test('a refusal is told with its reason and nothing more is sent until another draft is followed', async () => {
    const { keeper, asked, told } = keeperWith((_, nth) =>
      nth === 1 ? json(422, { ok: false, problems: ['No such level.'] }) : kept(),
    )
    keeper.take({ do: 1 }, 0, 1)
    await soon()
    expect(told.at(-1)).toEqual({ state: 'refused', problems: ['No such level.'] })
    keeper.take({ do: 2 }, 1, 2)
    await soon()
    expect(asked).toHaveLength(1)
    keeper.follow('x')
    keeper.take({ do: 3 }, 1, 3)
    await soon()
    expect(asked[1]).toMatchObject({ follows: 'x', steps: [{ do: 3 }] })
  })

  test('another place was first: told with what lies there', async () => {
    const there = { history: { past: [], now: 7, future: [] }, revision: 'r', savedAt: '10:04' }
    const { keeper, told } = keeperWith(() => json(200, { ok: true, value: { kept: false, there } }))
    keeper.take({ do: 1 }, 0, 1)
    await soon()
    expect(told.at(-1)).toEqual({ state: 'other', there })
  })

  test('a page that goes sends what waits, and hears no more', async () => {
    const { keeper, asked, told } = keeperWith(kept)
    keeper.take({ do: 1 }, 0, 1)
    const before = told.length
    keeper.close()
    await soon()
    expect(asked).toHaveLength(1)
    expect(told).toHaveLength(before)
  })

  test('idle is when the last step has arrived, with all that came while one was under way', async () => {
    const { keeper, asked } = keeperWith(async () => {
      await soon()
      return kept()
    })
    keeper.take({ do: 1 }, 0, 1)
    keeper.take({ do: 2 }, 1, 2)
    await keeper.idle()
    expect(asked.map(({ steps }) => steps)).toEqual([[{ do: 1 }], [{ do: 2 }]])
  })

  test('without an answer nothing is waited for', async () => {
    jest.useFakeTimers()
    try {
      const { keeper } = keeperWith(() => Promise.reject(new Error('no')))
      keeper.take({ do: 1 }, 0, 1)
      await keeper.idle()
      keeper.follow(null)
    } finally {
      jest.useRealTimers()
    }
  })
})

import { after, beginning, mostSteps, onTopOf, type History, type Step } from './history'

const run = (steps: Step<number>[], from: History<number> = beginning(0)) => steps.reduce(after, from)

describe('a draft with its steps', () => {
  test('what was done is taken back in turn, and brought back', () => {
    const done = run([{ do: 1 }, { do: 2 }])
    expect(done).toEqual({ past: [0, 1], now: 2, future: [] })
    const back = run(['undo', 'undo'], done)
    expect(back).toEqual({ past: [], now: 0, future: [1, 2] })
    expect(run(['redo', 'redo'], back)).toEqual(done)
  })

  test('there is nothing before the beginning and nothing after the end', () => {
    expect(run(['undo', 'redo', 'undo'])).toEqual(beginning(0))
  })

  test('another step leaves what was taken back behind', () => {
    expect(run([{ do: 1 }, 'undo', { do: 2 }, 'redo'])).toEqual({ past: [0], now: 2, future: [] })
  })

  test('a search that betters its own finding is one step', () => {
    expect(run([{ do: 1 }, { amend: 2 }, { amend: 3 }, 'undo']).now).toBe(0)
  })

  test('the oldest steps are forgotten, not the newest', () => {
    const many = run(Array.from({ length: 50 }, (_, i) => ({ do: i + 1 })))
    expect(many.past).toHaveLength(mostSteps)
    expect(many.past.at(-1)).toBe(49)
    const back = run(
      Array.from({ length: 60 }, () => 'undo' as const),
      many,
    )
    expect(back.now).toBe(50 - mostSteps)
    expect(back.future).toHaveLength(mostSteps)
  })

  test('stepping back and forth as often is the identity, whatever was done', () => {
    const done = run([{ do: 4 }, { amend: 5 }, { do: 6 }, { do: 7 }])
    for (let n = 0; n <= 3; n++)
      expect(
        run([...Array<Step<number>>(n).fill('undo'), ...Array<Step<number>>(n).fill('redo')], done),
      ).toEqual(done)
  })

  test('of two drafts both are kept: the other is one step behind', () => {
    const both = onTopOf(run([{ do: 1 }]), 9)
    expect(both.now).toBe(9)
    expect(after(both, 'undo').now).toBe(1)
  })
})

import { gameOf } from '../games'
import { analyse, analyseInputSchema } from './analyse'

// One figure of each game that is only simulated, by a second implementation that shares no code with
// the first: plain loops, a generator of its own.

/** Numbers in [0, 1): a 32-bit mixing generator, written here. */
function generator(seed: number) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

const random = generator(20261125)
const below = (n: number) => Math.floor(random() * n)
const die = () => 1 + below(6)
const pick = <T>(items: readonly T[]) => items[below(items.length)]

function deal<T>(items: readonly T[]): T[] {
  return items
    .map((item) => [random(), item] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, item]) => item)
}

function meanOf(times: number, one: () => number): { mean: number; error: number } {
  const values = Array.from({ length: times }, one)
  const mean = values.reduce((a, b) => a + b, 0) / times
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (times - 1)
  return { mean, error: Math.sqrt(variance / times) }
}

const run = (input: object) => analyse(analyseInputSchema.parse({ seed: 3, games: 3000, ...input }))

/** Both opinions within four of their joint standard errors. */
function agree(figure: number, halfWidth: number, second: { mean: number; error: number }) {
  const spread = Math.hypot(halfWidth / 1.96, second.error)
  expect(spread).toBeGreaterThan(0)
  expect(Math.abs(figure - second.mean)).toBeLessThan(4 * spread)
}

test('Perch, totals 2 to 12, two players: goes', () => {
  const second = meanOf(4000, () => {
    const single = Array<number>(13).fill(-1)
    const locked = Array<boolean>(13).fill(false)
    const hand = [10, 10]
    let player = 0
    for (let goes = 1; ; goes++) {
      const [a, b] = [die(), die()]
      const at = a + b
      if (!locked[at]) {
        hand[player]--
        if (single[at] === player) locked[at] = true
        else {
          if (single[at] >= 0) hand[single[at]]++
          single[at] = player
        }
        if (hand[player] === 0) return goes
      }
      if (a !== b) player = 1 - player
    }
  })
  const { set, sample } = run({ game: 'perch', level: 'two-dice', players: 2 })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Last Cover, taking away within 5, two players by chance choice: goes', () => {
  // The path from its rule: sentences of every whole from 1 to 5, in steps of seven; every eighth square wild.
  const sentences: number[] = []
  for (let whole = 1; whole <= 5; whole++) for (let b = 1; b <= whole; b++) sentences.push(whole - b)
  const path = Array.from({ length: 16 }, (_, i) =>
    (i + 1) % 8 === 0 ? null : sentences[((i + 1) * 7) % sentences.length],
  )
  const pool = new Set(path.filter((answer) => answer !== null))
  const second = meanOf(4000, () => {
    const open = new Set(pool)
    const at = [0, 0]
    for (let goes = 1; ; goes++) {
      const player = (goes - 1) % 2
      at[player] = (at[player] + die()) % 16
      const answer = path[at[player]]
      if (answer === null) open.delete(pick([...open]))
      else open.delete(answer)
      if (open.size === 0) return goes
    }
  })
  const { set, sample } = run({ game: 'last-cover', level: 'within-5', players: 2, choice: 'novice' })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Harbour Guard, up to three steps, by chance choice: goes', () => {
  const row = (n: number) => Math.floor((n - 1) / 10)
  const second = meanOf(600, () => {
    const inner = () => 12 + below(8) + 10 * below(8)
    const first = inner()
    let other = inner()
    const steps = (a: number, b: number) =>
      Math.abs(row(a) - row(b)) + Math.abs(((a - 1) % 10) - ((b - 1) % 10))
    while (steps(first, other) < 3) other = inner()
    const target = [first, other]
    const pieces = target.map((t) => [t - 10, t + 10, t - 1, t + 1])
    const last = [0, 0]
    for (let goes = 1; ; goes++) {
      const player = (goes - 1) % 2
      const moves: [number, number][] = []
      const taken = pieces.flat()
      pieces[player].forEach((from, piece) => {
        for (const unit of [1, -1, 10, -10])
          for (let n = 1; n <= 3; n++) {
            const to = from + n * unit
            if (to < 1 || to > 100 || taken.includes(to)) break
            if (Math.abs(unit) === 1 && row(to) !== row(from)) break
            if (n * unit !== last[player]) moves.push([piece, n * unit])
          }
      })
      if (moves.length === 0) {
        last[player] = 0
        continue
      }
      const [piece, by] = pick(moves)
      pieces[player][piece] += by
      last[player] = by
      if (pieces[player][piece] === target[1 - player]) return goes
    }
  })
  const { set, sample } = run({
    game: 'harbour-guard',
    level: 'short',
    players: 2,
    choice: 'novice',
    games: 800,
  })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Lantern Grid 1 to 10, two boxes of each, until fourteen are lit: goes', () => {
  const second = meanOf(6000, () => {
    const left = Array<number>(10).fill(2)
    let lit = 0
    for (let goes = 1; ; goes++) {
      const number = below(10)
      if (left[number] === 0) continue
      left[number]--
      if (++lit === 14) return goes
    }
  })
  const { set, sample, method } = run({ game: 'lantern-grid', level: 'to-10', players: 2 })
  expect(method).toBe('simulated')
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Five Flags on one given card, one child, by chance choice: calls', () => {
  const card = [
    [2, 3, 4, 5, 6],
    [7, 8, 9, 10, 11],
    [12, 7, 0, 6, 5],
    [7, 8, 9, 10, 4],
    [6, 6, 7, 8, 9],
  ]
  const lines: [number, number][][] = [0, 1, 2, 3, 4].flatMap((i) => [
    [0, 1, 2, 3, 4].map((j): [number, number] => [i, j]),
    [0, 1, 2, 3, 4].map((j): [number, number] => [j, i]),
  ])
  lines.push([0, 1, 2, 3, 4].map((i): [number, number] => [i, i]))
  lines.push([0, 1, 2, 3, 4].map((i): [number, number] => [i, 4 - i]))
  const second = meanOf(4000, () => {
    const marked = card.map((row) => row.map((number) => number === 0))
    for (let calls = 1; ; calls++) {
      const total = die() + die()
      const open: [number, number][] = []
      card.forEach((row, i) =>
        row.forEach((number, j) => number === total && !marked[i][j] && open.push([i, j])),
      )
      if (open.length === 0) continue
      const [i, j] = pick(open)
      marked[i][j] = true
      if (lines.some((line) => line.every(([r, c]) => marked[r][c]))) return calls
    }
  })
  const params = { source: { kind: 'dice', count: 2 }, card }
  const { set, sample } = run({ game: 'five-flags', params, players: 1, choice: 'novice' })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Tens Catch with two of each card, by chance choice: goes', () => {
  const second = meanOf(3000, () => {
    const pile = deal(Array.from({ length: 18 }, (_, i) => (i % 9) + 1))
    let open: number[] = []
    let since = 0
    for (let goes = 1; ; goes++) {
      while (open.length < 4 && pile.length > 0) open.push(pile.shift()!)
      const found = new Map<string, number[]>()
      for (let set = 1; set < 1 << open.length; set++) {
        const chosen = open.filter((_, i) => set & (1 << i))
        if (chosen.reduce((a, b) => a + b, 0) === 10) found.set([...chosen].sort().join(), chosen)
      }
      if (found.size === 0) {
        since += open.length
        pile.push(...open)
        open = []
        if (since >= pile.length + 4 || pile.length <= 4) return goes
        continue
      }
      since = 0
      for (const card of pick([...found.values()])) open.splice(open.indexOf(card), 1)
      if (pile.length === 0) {
        const more = Array.from({ length: 1 << open.length }, (_, set) =>
          open.reduce((sum, card, i) => sum + (set & (1 << i) ? card : 0), 0),
        )
        if (!more.includes(10)) return goes
      }
    }
  })
  const params = { target: 10, high: 9, copies: 2, turn: 4 }
  const { set, sample } = run({ game: 'tens-catch', params, players: 1, choice: 'novice' })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Twin Totals, ten cards, by chance choice: goes', () => {
  // Four cards share a total if it is drawn twice; five different totals are drawn here.
  const totals = (gameOf('twin-totals').levels[0].params as { pairs: number }).pairs
  const second = meanOf(4000, () => {
    let left = Array.from({ length: 2 * totals }, (_, i) => i >> 1)
    for (let goes = 1; ; goes++) {
      const [a, b] = deal(left.map((_, i) => i))
      if (left[a] === left[b]) left = left.filter((_, i) => i !== a && i !== b)
      if (left.length === 0) return goes
    }
  })
  const { set, sample } = run({ game: 'twin-totals', level: 'to-6', players: 2, choice: 'novice' })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Any Pairs?, numbers 0 to 5, two players by chance choice: goes', () => {
  const second = meanOf(3000, () => {
    const pack = deal(Array.from({ length: 24 }, (_, i) => i % 6))
    const hands: number[][] = [pack.splice(0, 5), pack.splice(0, 5)]
    const settle = (hand: number[]) => {
      for (let n = 0; n < 6; n++)
        while (hand.filter((card) => card === n).length > 1) {
          hand.splice(hand.indexOf(n), 1)
          hand.splice(hand.indexOf(n), 1)
        }
    }
    hands.forEach(settle)
    let player = 0
    let lucky = false
    let idle = 0
    for (let goes = 1; ; goes++) {
      const [own, other] = [hands[player], hands[1 - player]]
      let again = false
      if (own.length === 0 || other.length === 0) {
        if (pack.length > 0) {
          own.push(pack.shift()!)
          settle(own)
          idle = 0
        } else idle++
      } else {
        const number = pick(own)
        if (other.includes(number)) {
          other.splice(other.indexOf(number), 1)
          own.splice(own.indexOf(number), 1)
          lucky = false
          idle = 0
        } else if (pack.length > 0) {
          const card = pack.shift()!
          own.push(card)
          settle(own)
          again = lucky = card === number && !lucky
          idle = 0
        } else {
          lucky = false
          idle++
        }
      }
      if ((hands[0].length + hands[1].length === 0 && pack.length === 0) || idle >= 12) return goes
      if (!again) player = 1 - player
    }
  })
  const { set, sample } = run({ game: 'any-pairs', level: 'to-5', players: 2, choice: 'novice' })
  agree(set!.goes!.mean, sample!.halfWidth.goes, second)
})

test('Team Board, nine questions, two teams by chance choice: who begins wins', () => {
  const second = meanOf(6000, () => {
    const worth = deal([1, 1, 1, 2, 2, 2, 3, 3, 3])
    const scores = [0, 0]
    worth.forEach((points, go) => {
      if (random() < (10 - points) / 10) scores[go % 2] += points
    })
    return scores[0] > scores[1] ? 1 : 0
  })
  const { set, sample } = run({ game: 'team-board', level: 'to-20', players: 2, choice: 'novice' })
  agree(set!.firstPlayerWins!, sample!.halfWidth.firstPlayerWins, second)
})

test('Silent Line of eight with numbers: the last place is the longest walk, and the round takes 23 seconds', () => {
  // Call 4, read 2, find the place 2, walk 5 + 2 · 7 squares at 0.7, next round 2.
  const round = Math.round(4 + 2 + 2 + 0.7 * (5 + 2 * 7) + 2)
  const { minutes } = run({ game: 'silent-line', level: 'to-20', players: 8, games: 50 })
  expect(minutes!.mean * 60).toBeCloseTo(2 * round, 9)
})

test('Leaky Claim with parts of ten: each of the eleven facts comes as often', () => {
  const { practice, method, sample } = run({ game: 'leaky-claim', level: 'bonds-10', players: 2 })
  expect(method).toBe('simulated')
  const facts = sample!.games * 6 * 3
  for (const { share } of practice!.items)
    expect(Math.abs(share - 1 / 11)).toBeLessThan(4 * Math.sqrt(((1 / 11) * (10 / 11)) / facts))
  expect(practice!.items).toHaveLength(11)
})

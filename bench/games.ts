import { LuDecomposition, Matrix } from 'ml-matrix'
import { analyse, analyseInputSchema, simulationOf } from '@/core/analysis/analyse'
import { buildGoChain } from '@/core/analysis/go-chain'
import { defaultPace } from '@/core/analysis/pace'
import { simulateAll } from '@/core/analysis/simulate'
import { evolve, type Chain } from '@/core/chance/chain'
import { seededChance, type Chance } from '@/core/chance/chance'
import { games, gameOf, playGo, type AnyGame, type GameState } from '@/core/games'
import { ratio, say, timed } from './report'

interface Figures {
  mean: number
  /** P(over after t goes), t = 1, 2 …: percentiles are read off it. */
  over: number[]
  /** Expected visits of each state. */
  visits: number[]
}

/** Mean, percentiles and visits by steps of the sparse chain, as the core works them out. */
function figuresByPowers(chain: Chain): Figures {
  const over: number[] = []
  const visits = new Float64Array(chain.states)
  let mean = 1
  for (const { before, surviving } of evolve(chain)) {
    mean += surviving
    over.push(1 - surviving)
    for (let state = 0; state < chain.states; state++) visits[state] += before[state]
  }
  return { mean, over, visits: [...visits] }
}

/** The same by ml-matrix: visits and mean from (I − Q)ᵀ v = start, percentiles by powers of Q (Kemeny & Snell 1960, ch. 3). */
function figuresByMatrix(chain: Chain): Figures {
  const step = Matrix.zeros(chain.states, chain.states)
  for (let state = 0; state < chain.states; state++)
    for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++) {
      const next = chain.next[branch]
      if (next >= 0) step.set(next, state, step.get(next, state) + chain.probability[branch])
    }
  let still = Matrix.columnVector(chain.initial)
  const visits = new LuDecomposition(Matrix.sub(Matrix.eye(chain.states), step)).solve(still).to1DArray()
  const over: number[] = []
  for (let left = 1; left >= 1e-13;) {
    still = step.mmul(still)
    left = still.sum()
    over.push(1 - left)
  }
  return { mean: visits.reduce((sum, n) => sum + n, 0), over, visits }
}

const apartBy = (a: number[], b: number[]) =>
  Math.max(...a.slice(0, Math.min(a.length, b.length)).map((value, i) => Math.abs(value - b[i])))

export function exactAnalyses() {
  say()
  say('exact mean, percentiles and visits ÷ the same of the same chain by ml-matrix')
  say('(goal < 1, results equal to 1e-9)')
  for (const [id, level] of [
    ['landfall', 'to-100'],
    ['squall', 'to-30'],
    ['grid-hop', 'to-100-exactly'],
    ['dice-run', 'dice-5'],
    ['tower-bay', 'spinner-10'],
  ]) {
    const game = gameOf(id)
    const { params } = game.levels.find((one) => one.id === level)!
    const chain = buildGoChain(game, params, 1, 'planner', defaultPace)!
    const [own, other] = [figuresByPowers(chain), figuresByMatrix(chain)]
    const apart = Math.max(
      Math.abs(own.mean - other.mean),
      apartBy(own.over, other.over),
      apartBy(own.visits, other.visits),
    )
    const times = ratio(
      () => figuresByPowers(chain),
      () => figuresByMatrix(chain),
      3,
    )
    const name = `${id} ${level}`.padEnd(28)
    say(
      `  ${name} ${String(chain.states).padStart(5)} states  ${times.toFixed(3)}  apart by ${apart.toExponential(1)}`,
    )
  }
}

/** One or two games of each family. */
const families = {
  track: ['landfall to-20-die', 'squall to-20', 'currents to-50'],
  'grid walk': ['grid-hop to-100-exactly', 'harbour-guard short'],
  'collect and cover': ['tower-bay die', 'sand-steps to-6', 'jetty-planks to-20', 'doubles-dash die'],
  strip: ['low-tide two-parts', 'tens-catch to-10'],
  trade: ['trade-up five-tens'],
  'line and claim': ['five-flags two-dice', 'perch two-dice'],
  compare: ['more-or-less to-10', 'bigger-haul numerals'],
  order: ['dice-run dice-4', 'card-run five', 'neighbours to-20'],
  respond: ['the-gap to-20', 'shut-chest to-9', 'pebble-count two-dice'],
  memory: ['twin-totals to-10', 'any-pairs to-10'],
}

function playedWithoutSink(game: AnyGame, params: unknown, goes: number, chance: Chance) {
  const players = Math.max(game.players.min, Math.min(2, game.players.max))
  const start = game.setup(params, players) as GameState
  let state = start
  for (let go = 0; go < goes; go++) state = state.ended ? start : playGo(game, state, 'novice', chance)
}

/** A game of the families above, ready to be played against a loop that draws as many random numbers. */
function racer(member: string) {
  const [id, level] = member.split(' ')
  const game = gameOf(id)
  const { params } = game.levels.find((one) => one.id === level)!
  const goes = 20_000
  let draws = 0
  const inner = seededChance(1)
  const counting: Chance = { int: (low, high) => (draws++, inner.int(low, high)) }
  playedWithoutSink(game, params, goes, counting)
  const chance = seededChance(1)
  const plan = simulationOf(analyseInputSchema.parse({ game: id, level, games: 500, choice: 'novice' }))
  return {
    name: member,
    drawsAGo: draws / goes,
    silent: () => playedWithoutSink(game, params, goes, chance),
    bare() {
      for (let draw = 0; draw < draws; draw++) chance.int(1, 6)
    },
    heard: () => void simulateAll(plan),
    /** Goes without a sink to one with. */
    scale: goes / (500 * simulateAll(plan).expected.goes),
  }
}

export function simulationSpeed() {
  say()
  say('simulated goes of each family ÷ a bare loop that draws as many random numbers, no sink (goal ≤ 30);')
  say('below it its games, in brackets with events, clock and items')
  for (const [family, members] of Object.entries(families)) {
    const racers = members.map(racer)
    const all = ratio(
      () => racers.forEach(({ silent }) => silent()),
      () => racers.forEach(({ bare }) => bare()),
    )
    say(`  ${family.padEnd(30)} ${all.toFixed(0).padStart(4)}`)
    for (const { name, drawsAGo, silent, bare, heard, scale } of racers) {
      const own = ratio(silent, bare).toFixed(0).padStart(4)
      const withSink = (ratio(heard, bare, 3) * scale).toFixed(0)
      say(`    ${name.padEnd(28)} ${own}   (${withSink})   ${drawsAGo.toFixed(1)} draws a go`)
    }
  }
}

export function wholeCatalogue() {
  const chance = seededChance(1)
  const bare = () => {
    for (let draw = 0; draw < 100_000; draw++) chance.int(1, 6)
  }
  bare()
  let took = 0
  // A reference beside every level, so that a busy moment of the machine meets both.
  let draws = 0
  const slow: [string, number][] = []
  for (const { id, levels, players } of games)
    for (const { id: level } of levels) {
      const two = Math.max(players.min, Math.min(2, players.max))
      const own = timed(
        () => void analyse(analyseInputSchema.parse({ game: id, level, players: two, games: 1000 })),
        1,
      )
      took += own
      draws += timed(bare, 1)
      slow.push([`${id} ${level}`, own])
    }
  say()
  say('the whole catalogue from cold, every level, two players, 1000 games where simulated (goal ≤ 10 s)')
  const reference = (draws / slow.length) * 10
  say(
    `  ${slow.length} levels in ${(took / 1000).toFixed(1)} s, ${(took / reference).toFixed(0)} times a million bare draws`,
  )
  const slowest = slow.sort((a, b) => b[1] - a[1]).slice(0, 5)
  say(`  slowest: ${slowest.map(([name, ms]) => `${name} ${((100 * ms) / took).toFixed(0)} %`).join(', ')}`)
}

import { seededChance } from '../chance/chance'
import type { AnyGame, Choice, GameEvent, GameState } from '../games'
import { playGo } from '../games'
import { itemKey } from '../skills'
import { outcomeOf, type GoOutcome } from './go-chain'
import type { Pace } from './pace'
import type { Play } from './play'

/** A game not over after this many goes is given up and counted as unended. */
const LONGEST = 20_000

/** 97.5 % point of the standard normal: half-widths are 1.96 standard errors. */
const Z = 1.959963984540054

export interface Simulation {
  game: AnyGame
  params: unknown
  players: number
  choice: Choice
  pace: Pace
  games: number
  seed: number
}

/**
 * Plays whole games. Yields the number played so far now and then, so that a worker can report it
 * and be stopped; returns the figures of all games.
 */
export function* simulate(plan: Simulation): Generator<number, Play> {
  const { game, params, players, choice, pace, games, seed } = plan
  const chance = seededChance(seed)
  const kinds = new Map<string, { outcome: GoOutcome; count: number }>()
  const tally = new Tally(games)
  let events: GameEvent[] = []
  const sink = (event: GameEvent) => void events.push(event)
  const start = game.setup(params, players) as GameState

  for (let played = 0; played < games; played++) {
    let state = start
    const one = { goes: 0, dead: 0, seconds: 0 }
    while (!state.ended && one.goes < LONGEST) {
      events = []
      state = playGo(game, state, choice, chance, sink)
      const outcome = outcomeOf(events, pace)
      const key = `${outcome.dead}:${outcome.seconds}:${outcome.active}:${outcome.items.map(itemKey).join(' ')}`
      const kind = kinds.get(key)
      if (kind) kind.count++
      else kinds.set(key, { outcome, count: 1 })
      one.goes++
      if (outcome.dead) one.dead++
      one.seconds += outcome.seconds
    }
    tally.add(one, state.ended, (one.goes - 1) % players === 0)
    if (played % 200 === 199) yield played + 1
  }

  const racing = game.interaction === 'race' && players > 1
  return {
    goes: histogram(tally.goes),
    firstWins: racing ? tally.firstWins / games : null,
    outcomes: [...kinds.values()].map(({ outcome, count }) => ({ outcome, expected: count / games })),
    seconds: histogram(tally.seconds),
    sample: { games, seed, unended: tally.unended, halfWidth: tally.halfWidths() },
  }
}

/** Runs a simulation to its end without reporting. */
export function simulateAll(plan: Simulation): Play {
  const run = simulate(plan)
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

class Tally {
  goes: Float64Array
  dead: Float64Array
  seconds: Float64Array
  firstWins = 0
  unended = 0
  private games = 0

  constructor(size: number) {
    this.goes = new Float64Array(size)
    this.dead = new Float64Array(size)
    this.seconds = new Float64Array(size)
  }

  add(game: { goes: number; dead: number; seconds: number }, ended: boolean, first: boolean) {
    this.goes[this.games] = game.goes
    this.dead[this.games] = game.dead
    this.seconds[this.games] = game.seconds
    this.games++
    if (!ended) this.unended++
    else if (first) this.firstWins++
  }

  halfWidths() {
    const n = this.games
    const share = sum(this.dead) / sum(this.goes)
    // Ratio of two means: the spread of dead − share · goes (Cochran 1977, Sampling Techniques, ch. 6).
    const residual = this.dead.map((dead, i) => dead - share * this.goes[i])
    const first = this.firstWins / n
    return {
      goes: Z * standardError(this.goes),
      deadShare: (Z * standardError(residual)) / (sum(this.goes) / n),
      minutes: (Z * standardError(this.seconds)) / 60,
      firstPlayerWins: Z * Math.sqrt((first * (1 - first)) / n),
    }
  }
}

const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0)

function standardError(values: Float64Array): number {
  const n = values.length
  if (n < 2) return Infinity
  const mean = sum(values) / n
  let squares = 0
  for (const value of values) squares += (value - mean) ** 2
  return Math.sqrt(squares / (n - 1) / n)
}

function histogram(values: Float64Array) {
  const most = values.reduce((max, value) => Math.max(max, value), 0)
  const mass = new Float64Array(most + 1)
  for (const value of values) mass[value] += 1 / values.length
  return { from: 0, mass }
}

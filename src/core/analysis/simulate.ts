import { seededChance, type Chance } from '../chance/chance'
import { summed, type Distribution } from '../chance/distribution'
import type { AnyGame, Choice, GameEvent, GameState } from '../games'
import { playGo } from '../games'
import { countItems } from './items'
import { GoClock, type Pace } from './pace'
import { ratioHalfWidth, shareHalfWidth, standardError, z95 } from './intervals'
import type { Play, Sample } from './play'

/** A game not over after this many goes is given up and counted as unended. */
const LONGEST = 5_000
/** As many games in a row without an end: then none is expected. */
const HOPELESS = 5
/** Goes of all games together after which no further game is begun: the sample says how many there were. */
const MOST_GOES = 2_000_000
/** Games between two reports. */
const BLOCK = 200
/** Games whose time and items are added up to one batch: the spread between batches gives their intervals. */
const BATCH = 50

export interface Simulation {
  game: AnyGame
  params: unknown
  players: number
  choice: Choice
  pace: Pace
  /** Games to play at the most. */
  games: number
  /** Stop when the intervals are narrow enough: goes within 1 % of their mean, shares within 0.01. */
  untilPrecise: boolean
  seed: number
}

/** What one game came to. */
interface OneGame {
  goes: number
  /** Goes of all players together: more than `goes` where each plays on an own board. */
  allGoes: number
  dead: number
  seconds: number
  active: number
  ended: boolean
  winner: number | null
}

/**
 * Plays whole games. Yields the number played so far now and then, so that a worker can report it
 * and be stopped; returns the figures of all games.
 */
export function* simulate(plan: Simulation): Generator<number, Play> {
  const { game, params, players, games, seed, untilPrecise } = plan
  const chance = seededChance(seed)
  const items = countItems()
  const boards = game.goes === 'parallel' || game.interaction === 'rounds' ? players : 1
  const start = game.setup(params, players / boards) as GameState
  const player = new Player(plan, start.players, (event) => {
    if (event.kind === 'answered') items.add(event.item, 1)
  })
  const timeBoxed = game.sameLawEachGo?.(params).goes === null
  // Where every go has one law all turn at once, or nobody's turn differs from another's: nobody begins.
  const racing =
    (game.interaction === 'race' ||
      game.contested?.(params) ||
      (game.interaction === 'contest' && !game.sameLawEachGo && !game.lumpKey)) &&
    players > 1
  const tally = new Tally(games, racing)
  const batches = new Batches(() => ({
    seconds: tally.allSeconds,
    active: tally.active,
    steps: items.steps(),
  }))

  const isEnough = () => tally.allGoes >= MOST_GOES && tally.games >= HOPELESS

  // A plain function: what runs in the body of a generator is not compiled as well.
  const playUpTo = (target: number) => {
    while (tally.games < target && !isEnough()) {
      let one = player.play(start, chance, timeBoxed)
      for (let board = 1; board < boards; board++)
        one = combine(one, player.play(start, chance, timeBoxed), game.goes === 'parallel')
      tally.add(one)
      if (tally.games % BATCH === 0) batches.close()
    }
  }
  playUpTo(Math.min(games, HOPELESS))
  while (tally.games < games && tally.unended < tally.games) {
    playUpTo(Math.min(games, (Math.floor(tally.games / BLOCK) + 1) * BLOCK))
    yield tally.games
    if (isEnough() || (untilPrecise && tally.isPrecise())) break
  }

  const scale = 1 / tally.games
  return {
    goes: timeBoxed ? null : histogram(tally.goes.subarray(0, tally.games)),
    firstWins: racing ? tally.firstWins * scale : null,
    expected: {
      goes: tally.allGoes * scale,
      dead: summed(tally.dead) * scale,
      seconds: summed(tally.seconds) * scale,
      active: tally.active * scale,
    },
    alone: aloneIn(game, players, { goes: tally.allGoes * scale, dead: summed(tally.dead) * scale }),
    items: items.list(scale),
    seconds: timeBoxed ? null : histogram(tally.seconds.subarray(0, tally.games)),
    sample: {
      games: tally.games,
      seed,
      unended: tally.unended,
      halfWidth: { ...tally.halfWidths(), ...batches.halfWidths(players) },
    },
  }
}

/**
 * What one player alone comes to, where that can be read off the set: on boards of their own each does,
 * and a board that all fill in turn takes as many goes whoever fills it.
 */
function aloneIn(game: AnyGame, players: number, all: { goes: number; dead: number }): Play['alone'] {
  if (players === 1 || (game.interaction === 'shared' && game.goes === 'alternate')) return all
  if (game.goes !== 'parallel' && game.interaction !== 'rounds') return null
  return { goes: all.goes / players, dead: all.dead / players }
}

/** Runs a simulation to its end without reporting. */
export function simulateAll(plan: Simulation): Play {
  const run = simulate(plan)
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

/** Plays games one after another with a clock running. */
class Player {
  private readonly clock: GoClock
  private readonly sink: (event: GameEvent) => void

  constructor(
    private readonly plan: Simulation,
    players: number,
    listen: (event: GameEvent) => void,
  ) {
    const clock = new GoClock(plan.pace, plan.game.goes, players)
    this.clock = clock
    this.sink = (event) => {
      clock.hear(event)
      listen(event)
    }
  }

  /** One game from `start`; one go of it where the time ends the game. */
  play(start: GameState, chance: Chance, oneGo: boolean): OneGame {
    const { game, choice } = this.plan
    let [goes, dead, seconds, active, last] = [0, 0, 0, 0, 0]
    let state = start
    do {
      last = state.turn
      state = playGo(game, state, choice, chance, this.sink) as GameState
      const time = this.clock.read()
      goes++
      if (time.dead) dead++
      seconds += time.seconds
      active += time.active
    } while (!state.ended && !oneGo && goes < LONGEST)
    const winner = state.winner === undefined ? last : state.winner
    return { goes, allGoes: goes, dead, seconds, active, ended: state.ended || oneGo, winner }
  }
}

/** Two boards or rounds of one set: side by side until the slower is through, or one after the other. */
function combine(a: OneGame, b: OneGame, sideBySide: boolean): OneGame {
  return {
    goes: sideBySide ? Math.max(a.goes, b.goes) : a.goes + b.goes,
    allGoes: a.allGoes + b.allGoes,
    dead: a.dead + b.dead,
    seconds: sideBySide ? Math.max(a.seconds, b.seconds) : a.seconds + b.seconds,
    active: a.active + b.active,
    ended: a.ended && b.ended,
    winner: null,
  }
}

/** Time and items up to now. */
interface Totals {
  seconds: number
  active: number
  /** Items by step. */
  steps: ReadonlyMap<string, number>
}

/** Batches of games, from the totals at the end of each. */
class Batches {
  private readonly closed: Totals[] = [{ seconds: 0, active: 0, steps: new Map() }]

  constructor(private readonly totals: () => Totals) {}

  close() {
    this.closed.push(this.totals())
  }

  /** Of what is told of one child of a set; infinite where there are fewer than two batches. */
  halfWidths(players: number): Pick<Sample['halfWidth'], 'waitingShare' | 'itemsPer10Min' | 'stepShare'> {
    const all = (of: Totals) => [...of.steps.values()].reduce((sum, count) => sum + count, 0)
    const each = <T>(of: (now: Totals, before: Totals) => T) =>
      this.closed.slice(1).map((now, i) => of(now, this.closed[i]))
    const steps = [...this.closed.at(-1)!.steps.keys()]
    return {
      waitingShare: ratioHalfWidth(
        each(
          (now, before) => [(now.active - before.active) / players, now.seconds - before.seconds] as const,
        ),
      ),
      itemsPer10Min: ratioHalfWidth(
        each(
          (now, before) =>
            [((all(now) - all(before)) / players) * 600, now.seconds - before.seconds] as const,
        ),
      ),
      stepShare: Object.fromEntries(
        steps.map((key) => [
          key,
          ratioHalfWidth(
            each(
              (now, before) =>
                [(now.steps.get(key) ?? 0) - (before.steps.get(key) ?? 0), all(now) - all(before)] as const,
            ),
          ),
        ]),
      ),
    }
  }
}

class Tally {
  readonly goes: Float64Array
  readonly all: Float64Array
  readonly dead: Float64Array
  readonly seconds: Float64Array
  allGoes = 0
  allSeconds = 0
  active = 0
  firstWins = 0
  unended = 0
  games = 0

  constructor(
    size: number,
    private readonly racing: boolean,
  ) {
    this.goes = new Float64Array(size)
    this.all = new Float64Array(size)
    this.dead = new Float64Array(size)
    this.seconds = new Float64Array(size)
  }

  add(game: OneGame) {
    this.goes[this.games] = game.goes
    this.all[this.games] = game.allGoes
    this.dead[this.games] = game.dead
    this.seconds[this.games] = game.seconds
    this.games++
    this.allGoes += game.allGoes
    this.allSeconds += game.seconds
    this.active += game.active
    if (!game.ended) this.unended++
    else if (game.winner === 0) this.firstWins++
  }

  /** Half-widths of 95 % intervals. */
  halfWidths() {
    const n = this.games
    const share = summed(this.dead) / this.allGoes
    // Ratio of two means: the spread of dead − share · goes (Cochran 1977, Sampling Techniques, ch. 6).
    const residual = this.dead.slice(0, n).map((dead, i) => dead - share * this.all[i])
    return {
      goes: z95 * standardError(this.goes.subarray(0, n)),
      deadShare: (z95 * standardError(residual)) / (this.allGoes / n),
      minutes: (z95 * standardError(this.seconds.subarray(0, n))) / 60,
      firstPlayerWins: shareHalfWidth(this.firstWins / n, n),
    }
  }

  isPrecise(): boolean {
    if (this.games < 1000) return false
    const { goes, deadShare, firstPlayerWins } = this.halfWidths()
    const mean = summed(this.goes) / this.games
    return goes < 0.01 * mean && deadShare < 0.01 && (!this.racing || firstPlayerWins < 0.01)
  }
}

function histogram(values: Float64Array): Distribution {
  let most = 0
  for (const value of values) if (value > most) most = value
  const mass = new Float64Array(most + 1)
  for (const value of values) mass[value] += 1 / values.length
  return { from: 0, mass }
}

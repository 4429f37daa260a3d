import { seededChance } from '../chance/chance'
import type { AnyGame, Choice, GameState } from '../games'
import { playGo } from '../games'
import { meanOf, type Estimated } from './intervals'

/** What is hard to bear in a game, which a mean share of dead goes does not tell: always of games that were played. */
export interface Strain {
  games: number
  /** Of one child in one game: the most of its goes one after the other in which it could only wait. */
  longestWait: Estimated & { p90: number }
  /** Tokens sent back in a game of the set; null where the rules send none back. */
  sentBack: Estimated | null
}

/** A game not over after this many goes is left. */
const longest = 2_000

/** Plays `games` games of a set and watches the waiting of each child. */
export function strainOf(
  game: AnyGame,
  params: unknown,
  players: number,
  choice: Choice,
  games = 400,
  seed = 1,
): Strain {
  const chance = seededChance(seed)
  const waits: number[] = []
  const returned: number[] = []
  const boards = game.goes === 'parallel' || game.interaction === 'rounds' ? players : 1
  for (let played = 0; played < games; played++) {
    const waited = new Array<number>(players).fill(0)
    const most = new Array<number>(players).fill(0)
    let back = 0
    for (let board = 0; board < boards; board++) {
      let state = game.setup(params, players / boards) as GameState
      for (let goes = 0; !state.ended && goes < longest; goes++) {
        const child = boards > 1 ? board : state.turn
        let dead = false
        state = playGo(game, state, choice, chance, (event) => {
          if (event.kind === 'waited') dead = true
          else if (event.kind === 'sent-back') back++
        }) as GameState
        waited[child] = dead ? waited[child] + 1 : 0
        most[child] = Math.max(most[child], waited[child])
      }
    }
    waits.push(...most)
    returned.push(back)
  }
  waits.sort((a, b) => a - b)
  return {
    games,
    // Children of one set share their luck: the interval is that of the games, not of the children.
    longestWait: { ...meanOf(waits, games), p90: waits[Math.ceil(0.9 * waits.length) - 1] },
    sentBack: returned.some((count) => count > 0) ? meanOf(returned, games) : null,
  }
}

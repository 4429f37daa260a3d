import { gameOf } from '../index'
import { newRound } from '../engine/round'
import { practised } from './practised'
import { beginTrying, type Trying } from './trying'
import type { PracticeItem } from '../../skills'

/** Goes after which a child's play ends, and after which it ends with its game. */
const [fewestGoes, mostGoes] = [8, 12]

/** A game for one child: alone where that is possible, else with one that plays as a beginner. */
export function beginAtStation(gameId: string, levelId: string, seed: number): Trying {
  const { levels, players } = gameOf(gameId)
  const { params } = levels.find(({ id }) => id === levelId)!
  return beginTrying(gameId, params, players.min, players.min > 1 ? 'novice' : 'alone', seed)
}

/** True after twelve goes, or eight if the game is over by then. */
export function playedEnough({ goes, open, round }: Trying): boolean {
  if (open.length > 0) return false
  return goes >= mostGoes ? round.phase !== 'choose' : round.phase === 'over' && goes >= fewestGoes
}

/** A game that was over soon is followed by another one. */
export function goingOn(trying: Trying, seed: number): Trying {
  const { round } = trying
  if (round.phase !== 'over' || playedEnough(trying)) return trying
  return { ...trying, round: newRound(round.game, round.params, round.state.players, seed) }
}

/** What a child works out: the answer stands nowhere on the screen while it is asked. */
const workedOut: ReadonlySet<PracticeItem['op']> = new Set([
  'add',
  'subtract',
  'missing',
  'share',
  'groups',
  'part-of',
  'odd-even',
  'coins',
  'pay',
  'change',
  'multiply',
  'factor',
  'compare',
  'neighbour',
  'skip',
])

/**
 * True if an answer at a screen says something of the child. To count out five, or to say which number a card shows,
 * is to read the answer there; a pattern is seen only where it comes and goes.
 */
const tells = ({ round }: Trying, item: PracticeItem): boolean =>
  workedOut.has(item.op) || (item.op === 'see' && gameOf(round.game).table.glimpse !== undefined)

/** Who may take its time to type has worked a fact out, and not shown that it knows it by heart. */
const asWorkedOut = (item: PracticeItem): PracticeItem =>
  'known' in item ? { ...item, known: undefined } : item

/** What is recorded of the play: a tally at each step that was asked, with the reasons of wrong answers. */
export const recordOf = (trying: Trying) =>
  practised({
    ...trying,
    done: trying.done
      .filter(({ item }) => tells(trying, item))
      .map((one) => ({ ...one, item: asWorkedOut(one.item) })),
  }).map(({ place, right, of, guess, slips }) => ({
    value: { judged: null, right, of },
    digital: { ...place, guess, slips },
  }))

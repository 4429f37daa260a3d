import type { Chance } from '../../chance/chance'
import type { SceneThing, Table } from '../../table'
import { nextTurn, type SameLawEachGo, type Engine, type GameState, type Sink } from '../engine/game'
import { without } from '../engine/source'

export interface RespondState<P> extends GameState {
  params: P
  /** Cards of the pack not turned yet, by number; empty where no pack is used. */
  packLeft: readonly number[]
  /** Tasks answered so far. */
  done: number
  /** What the task shows: dice, a card, or whatever the game makes of it. */
  prompt: readonly number[]
  /** It is not answered yet. */
  open: boolean
  /** The tasks before it, the last one first: what of them still lies there. */
  past: Past | null
}

interface Past {
  prompt: readonly number[]
  past: Past | null
}

/** The answer to the task that lies open. */
type Respond = 'answer'

/** What a task is opened and answered with. */
interface Turn<P> {
  params: P
  player: number
  players: number
  /** Tasks answered before. */
  done: number
}

interface RespondRules<P> {
  /** Tasks of a whole game; null: until the time is up. */
  tasks: (params: P) => number | null
  /** Number of cards of a pack that is turned without putting back; left out: no pack. */
  cards?: (params: P) => number
  /** Opens a task: by chance, or from the card with this number. Sends what the device did. */
  open: (turn: Turn<P> & { chance: Chance; card: number }, sink?: Sink) => readonly number[]
  /** Sends what is answered, built, written. */
  answer: (turn: Turn<P> & { prompt: readonly number[] }, sink: Sink) => void
  /** The pack is shuffled whole again before this task; left out: when it is used up. */
  shuffles?: (params: P, done: number) => boolean
  /** One call for all: the task is opened once and done when the last child has answered. */
  all?: boolean
  /** Tasks come in an order of their own, so that no two goes need be alike. */
  inOrder?: boolean
}

/**
 * Answer and explain: a task is opened, a child answers it, the next one's turn. There is always
 * something to do, so no go is dead.
 */
export function responding<P>(
  rules: RespondRules<P>,
): Engine<P, RespondState<P>, Respond, readonly number[]> {
  const packOf = (params: P) => Array.from({ length: rules.cards?.(params) ?? 0 }, (_, card) => card)
  return {
    setup: (params, players) => ({
      params,
      players,
      turn: 0,
      ended: false,
      winner: null,
      packLeft: packOf(params),
      done: 0,
      prompt: [],
      open: false,
      past: null,
    }),
    roll({ params, players, turn, ended, winner, packLeft, done, prompt: last, past: before }, chance, sink) {
      let left = packLeft
      let card = 0
      if (rules.cards) {
        const held = packLeft.length > 0 && !rules.shuffles?.(params, done) ? packLeft : packOf(params)
        const index = chance.int(0, held.length - 1)
        card = held[index]
        left = without(held, index)
      }
      const prompt = rules.open({ params, player: turn, players, done, chance, card }, sink)
      const past = last.length > 0 ? { prompt: last, past: before } : before
      return { params, players, turn, ended, winner, packLeft: left, done, prompt, open: true, past }
    },
    moves: () => answering,
    play(state, _move, sink) {
      const { params, players, turn: player, winner, packLeft, done: before, prompt, past } = state
      if (sink) rules.answer({ params, player, players, done: before, prompt }, sink)
      const done = rules.all && player < players - 1 ? before : before + 1
      const tasks = rules.tasks(params)
      const ended = tasks !== null && done >= tasks
      // Where one task is for all it lies open until the last has answered.
      const open = done === before
      const turn = nextTurn(state)
      return { params, players, turn, ended, winner, packLeft, done, prompt, open, past }
    },
    view: ({ prompt }) => prompt,
    ...(rules.inOrder
      ? { lumpKey: ({ done, turn }: RespondState<P>) => `${done} ${turn}` }
      : {
          sameLawEachGo: (params: P): SameLawEachGo => ({
            goes: rules.tasks(params),
            pack: rules.cards?.(params) ?? null,
          }),
        }),
  }
}

const answering = ['answer'] as const

/** The prompts of tasks answered before the one that lies there now, the first one first; at most `most` of them. */
export function pastPrompts({ past }: { past: Past | null }, most: number): (readonly number[])[] {
  const found: (readonly number[])[] = []
  for (let at = past; at && found.length < most; at = at.past) found.push(at.prompt)
  return found.reverse()
}

/** The table of a game of tasks: what a task and its answer put there. */
export const respondTable = <P>(
  layout: Table<P, RespondState<P>, Respond>['layout'],
  things: Table<P, RespondState<P>, Respond>['things'],
  glimpse?: (params: P, prompt: readonly number[]) => { things: SceneThing[]; milliseconds: number },
): Table<P, RespondState<P>, Respond> => ({
  layout,
  things,
  ...(glimpse ? { glimpse: ({ params, prompt, open }) => (open ? glimpse(params, prompt) : null) } : {}),
  say: () => ({ verb: 'answer', numbers: [], spots: [] }),
})

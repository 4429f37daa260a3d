import { restoredChance, seededChance, type Chance } from '../../chance/chance'
import type { PracticeItem } from '../../skills'
import { editsBetween, type Edit, type Scene, type Viewer } from '../../table'
import type { GameEvent } from './events'
import { anyMove, winnersOf, type Choice, type GameState } from './game'
import { gameOf } from '../index'

/** What comes next: the device is used, the player whose go it is chooses and answers, or nothing. */
type Phase = 'roll' | 'choose' | 'over'

/**
 * One game at one table, as far as it has been played: plain data, to be stored, sent and taken up again.
 * Stepping back is taking an earlier one.
 */
export interface Round {
  game: string
  params: unknown
  state: GameState
  phase: Phase
  /** Where chance stands. */
  chance: readonly number[]
  /** Who has acted on the call, where one call serves all. */
  acted: number
  /** Who has won, several where they share it; before the end nobody. */
  winners: readonly number[]
}

/** Something that happened, with what it changed on the table. */
export interface RoundEvent {
  kind: 'device' | 'asked' | 'answered' | 'waited' | 'moved' | 'ended' | 'passed'
  actor: number
  /** What a child works out: asked before the answer stands anywhere, answered after. */
  item?: PracticeItem
  /** What the device shows, one number a die. */
  faces?: readonly number[]
  /** What is notable of it, see {@link Notable}. */
  notable?: readonly Notable[]
  edits: readonly Edit[]
}

/** Cases that a demonstration should show once. */
export type Notable =
  | 'waits'
  | 'nothing'
  | 'double'
  | 'goes-again'
  | 'sent-back'
  | 'takes'
  | 'moves-the-body'
  | 'fewer-dice'
  | 'back'
  | 'beyond'
  | 'covers-several'
  | 'ends'

export interface Step {
  round: Round
  events: readonly RoundEvent[]
}

/** @throws if there is no such game, or the parameters are not the game's */
export function newRound(game: string, params: unknown, players: number, seed: number): Round {
  const { setup, params: schema } = gameOf(game)
  const parsed = schema.parse(params) as unknown
  return {
    game,
    params: parsed,
    state: setup(parsed, players) as GameState,
    phase: 'roll',
    chance: seededChance(seed).state(),
    acted: 0,
    winners: [],
  }
}

/** Whose go it is, from 0. */
export const actor = ({ state }: Round) => state.turn

/** What lies on the table, as far as the viewer may see it. */
export const sceneOf = ({ game, state }: Round, viewer: Viewer): Scene => ({
  things: gameOf(game).table.things(state, viewer),
})

/** Moves that may be made now; none in another phase than `choose`. */
export const movesOf = ({ game, state, phase }: Round): readonly unknown[] =>
  phase === 'choose' ? (gameOf(game).moves(state) as readonly unknown[]) : []

/** A move in words and spots. */
export const wordsFor = ({ game, state }: Round, move: unknown) => gameOf(game).table.say(state, move)

/**
 * What the child works out with a move (null: with no move to make), in order; not what only the keeper of a
 * secret works out.
 */
export function asks({ game, state }: Round, move: unknown): PracticeItem[] {
  const items: PracticeItem[] = []
  gameOf(game).play(state, move, (event: GameEvent) => {
    if (event.kind === 'answered' && event.player === state.turn && !event.secret) items.push(event.item)
  })
  return items
}

/**
 * Uses the device. @param viewer who watches: edits show what that one may see; null: nobody, no edits are made
 * @param given numbers that real dice, a real wheel or a real card showed, in place of chance
 * @throws {ImpossibleDevice} if the device can't give them
 */
export function roll(round: Round, viewer: Viewer | null = 'table', given?: readonly number[]): Step {
  if (round.phase !== 'roll') throw new Error('The device is used at the beginning of a go.')
  const game = gameOf(round.game)
  const chance = restoredChance(round.chance)
  const heard: GameEvent[] = []
  const state = (
    given
      ? rolledAs(round, given, heard)
      : game.roll(round.state, chance, (event: GameEvent) => heard.push(event))
  ) as GameState
  const next: Round = {
    ...round,
    state,
    phase: state.ended ? 'over' : 'choose',
    chance: chance.state(),
    acted: 0,
  }
  const event: RoundEvent = {
    kind: 'device',
    actor: round.state.turn,
    faces: facesIn(heard),
    notable: ofDevice(round, heard),
    edits: editsFor(viewer, round, next),
  }
  return { round: next, events: [event] }
}

/** What changed on the table for who looks; nothing is worked out where nobody does. */
const editsFor = (viewer: Viewer | null, before: Round, after: Round): Edit[] =>
  viewer === null ? [] : editsBetween(sceneOf(before, viewer), sceneOf(after, viewer))

/** The number that a device shows can't come up. */
export class ImpossibleDevice extends Error {
  constructor(readonly given: readonly number[]) {
    super(`The device can’t give ${given.join(', ')}.`)
  }
}

const facesIn = (events: readonly GameEvent[]) =>
  events.flatMap((event) =>
    event.kind === 'rolled'
      ? event.faces
      : event.kind === 'spun'
        ? [event.sector]
        : event.kind === 'drew'
          ? [event.card]
          : [],
  )

/** Most ways of a device that are tried: three dice have 216, a pack of cards to 1000 as many as cards. */
const mostWays = 1100

/** Every way the device can turn out is tried until one shows the numbers given. */
function rolledAs(round: Round, given: readonly number[], heard: GameEvent[]): GameState {
  const game = gameOf(round.game)
  const script: { pick: number; size: number }[] = []
  for (let tried = 0; tried < mostWays; tried++) {
    let depth = 0
    const events: GameEvent[] = []
    const chance: Chance = {
      int(low, high) {
        if (depth === script.length) script.push({ pick: 0, size: high - low + 1 })
        return low + script[depth++].pick
      },
    }
    const state = game.roll(round.state, chance, (event: GameEvent) => events.push(event)) as GameState
    const faces = facesIn(events)
    if (faces.length > 0 && faces.join() === given.join()) {
      heard.push(...events)
      return state
    }
    while (script.length > 0 && script[script.length - 1].pick + 1 === script[script.length - 1].size)
      script.pop()
    if (script.length === 0) break
    script[script.length - 1].pick++
  }
  throw new ImpossibleDevice(given)
}

/** Makes a move; null where there is none to make. @throws if it isn't one of the legal moves */
export function choose(round: Round, move: unknown, viewer: Viewer | null = 'table'): Step {
  if (round.phase !== 'choose') throw new Error('A choice follows the use of the device.')
  const game = gameOf(round.game)
  const legal = game.moves(round.state) as readonly unknown[]
  const wanted = JSON.stringify(move)
  const chosen = move === null ? null : legal.find((one) => JSON.stringify(one) === wanted)
  if (chosen === undefined || (chosen === null && legal.length > 0))
    throw new Error('No such move can be made.')
  const heard: GameEvent[] = []
  const state = game.play(round.state, chosen, (event: GameEvent) => heard.push(event)) as GameState
  const who = round.state.turn
  const acted = round.acted + 1
  const goesOn = game.goes === 'call' ? acted < round.state.players : state.more === true
  const next: Round = {
    ...round,
    state,
    phase: state.ended ? 'over' : goesOn ? 'choose' : 'roll',
    acted: goesOn ? acted : 0,
    winners: state.ended ? winnersOf(game, state, who) : [],
  }
  const events: RoundEvent[] = heard.flatMap((event): RoundEvent[] =>
    event.kind === 'answered' && (viewer === 'all' || !event.secret)
      ? [
          { kind: 'asked', actor: event.player, item: event.item, edits: [] },
          { kind: 'answered', actor: event.player, item: event.item, edits: [] },
        ]
      : [],
  )
  events.push({
    kind: chosen === null ? 'waited' : 'moved',
    actor: who,
    notable: ofMove(round, chosen, next, heard),
    edits: editsFor(viewer, round, next),
  })
  if (state.ended) events.push({ kind: 'ended', actor: next.winners[0] ?? who, notable: ['ends'], edits: [] })
  return { round: next, events }
}

/** The move that a beginner or a thoughtful child would make now; null where there is none. */
export function moveOf(round: Round, choice: Choice): { move: unknown; chance: readonly number[] } {
  const game = gameOf(round.game)
  const chance = restoredChance(round.chance)
  const legal = game.moves(round.state) as readonly unknown[]
  const move =
    legal.length === 0
      ? null
      : choice === 'novice' || !game.planner || legal.length === 1
        ? anyMove(legal, chance)
        : (game.planner(game.view(round.state, round.state.turn), legal, chance) as unknown)
  return { move, chance: chance.state() }
}

/** The next step, whichever it is. */
export function auto(round: Round, choice: Choice, viewer: Viewer = 'table'): Step {
  if (round.phase === 'roll') return roll(round, viewer)
  if (round.phase === 'over') return { round, events: [] }
  const { move, chance } = moveOf(round, choice)
  return choose({ ...round, chance }, move, viewer)
}

function ofDevice(round: Round, heard: readonly GameEvent[]): Notable[] {
  const found: Notable[] = []
  for (const event of heard) {
    if (
      event.kind === 'rolled' &&
      event.faces.length > 1 &&
      event.faces.every((face) => face === event.faces[0])
    )
      found.push('double')
    if (event.kind === 'rolled' && event.faces.length > 0 && event.faces.length < mostDice(round))
      found.push('fewer-dice')
  }
  return found
}

/** Dice among the materials of a set. */
const mostDice = ({ game, params }: Round) =>
  (gameOf(game).materials(params) as { thing: { kind: string }; perSet?: number }[]).reduce(
    (sum, { thing, perSet = 0 }) => sum + (thing.kind === 'die' ? perSet : 0),
    0,
  )

/** Nothing is added, taken away or missing. */
const isNothing = (item: PracticeItem) =>
  ((item.op === 'add' || item.op === 'subtract') && item.b === 0) ||
  (item.op === 'missing' && item.answer === 0)

function ofMove(before: Round, move: unknown, after: Round, heard: readonly GameEvent[]): Notable[] {
  const found: Notable[] = []
  const who = before.state.turn
  // Elsewhere a way that is walked has no end to go beyond.
  const onTrack = gameOf(before.game).section === 'tracks'
  if (move === null) found.push('waits')
  let placed = 0
  for (const event of heard) {
    if (event.kind === 'sent-back') found.push('sent-back')
    if (event.kind === 'answered' && isNothing(event.item)) found.push('nothing')
    if (event.kind === 'took') found.push('takes')
    if (event.kind === 'jumped') found.push('moves-the-body')
    if (event.kind === 'placed') placed++
    if (event.kind === 'moved' && event.from >= 0 && event.to < event.from) found.push('back')
    if (
      onTrack &&
      event.kind === 'moved' &&
      event.squares > Math.abs(event.to - event.from) &&
      event.to !== event.from
    )
      found.push('beyond')
  }
  if (placed > 1) found.push('covers-several')
  if (before.state.players > 1 && after.state.turn === who && after.phase === 'roll') found.push('goes-again')
  return [...new Set(found)]
}

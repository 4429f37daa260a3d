import type { PracticeItem } from '../../skills'
import type { Edit, Layout, MoveWords, Scene, Viewer } from '../../table'
import type { AnyGame } from '../index'
import { gameOf } from '../index'
import {
  actor,
  asks,
  choose,
  moveOf,
  newRound,
  roll,
  sceneOf,
  wordsFor,
  type Notable,
  type Round,
} from '../engine/round'

/** One picture of a round before the class: what lies on the table, what is asked, what was answered so far. */
export interface Frame {
  stage: 'ready' | 'device' | 'asked' | 'moved'
  /** The round as far as this picture: rolling or choosing goes on from here. */
  round: Round
  scene: Scene
  /** Whose go it is, from 0. */
  player: number
  /** What the device shows, one number a die. */
  faces: readonly number[]
  /** The question that stands open. */
  item: PracticeItem | null
  /** What was answered, the first one first. */
  answered: readonly PracticeItem[]
  /** The move of this go; null: none was to be made, or it is not known yet. */
  move: MoveWords | null
  /** Where the piece that moves stands before. */
  from: string | null
  /** There was nothing to be done in this go. */
  waits: boolean
  notable: readonly Notable[]
  /** Goes begun so far. */
  goes: number
}

/** Answers that stay in view. */
const kept = 12

/** Looks over the table: hands that only their owner sees are shown of the first player, who shows the game. */
const classViewer: Viewer = 0

/** How many play when a game is shown: one where one can, two where they meet, a group where all take part. */
export function playersToShow({ players, interaction, room }: AnyGame): number {
  if (room.whole) return Math.max(players.min, Math.min(players.max, players.typical))
  return Math.max(players.min, interaction === 'contest' || interaction === 'shared' ? 2 : 1, 1)
}

export const firstFrame = (round: Round, viewer: Viewer = classViewer): Frame => ({
  stage: 'ready',
  round,
  scene: sceneOf(round, viewer),
  player: actor(round),
  faces: [],
  item: null,
  answered: [],
  move: null,
  from: null,
  waits: false,
  notable: [],
  goes: 0,
})

/**
 * The pictures that come next: the device, each question of the go, the move. Those of one player's part of a go.
 * @param given what real dice showed, in place of chance
 * @returns none where the round is over
 * @throws {ImpossibleDevice} if the device can't give the numbers
 */
export function nextFrames(last: Frame, given?: readonly number[], viewer: Viewer = classViewer): Frame[] {
  const frames: Frame[] = []
  let { round } = last
  if (round.phase === 'over') return []
  let frame: Frame = { ...last, item: null, move: null, from: null, waits: false, notable: [] }
  if (round.phase === 'roll') {
    const { round: rolled, events } = roll(round, viewer, given)
    round = rolled
    const [{ faces = [], notable = [] }] = events
    frame = {
      ...frame,
      stage: 'device',
      round,
      scene: sceneOf(round, viewer),
      player: actor(round),
      faces,
      notable,
      goes: last.goes + 1,
    }
    // Where nothing is rolled, turned or dealt there is nothing to look at yet.
    if (faces.length > 0 || events.some(({ edits }) => edits.length > 0)) frames.push(frame)
    if (round.phase === 'over') return frames.length > 0 ? frames : [frame]
  }
  const { move, chance } = moveOf(round, choiceFor(round))
  const said = move === null ? null : wordsFor(round, move)
  const { round: own, events } = choose({ ...round, chance }, move, viewer)
  const after = sameForAll(own, asks(round, move), viewer)
  const edits = events.flatMap((event) => event.edits)
  const from = movedFrom(frame.scene, edits)
  for (const item of asks(round, move)) {
    frame = {
      ...frame,
      stage: 'asked',
      round,
      scene: gameOf(round.game).table.turnsFirst ? sceneOf(after, viewer) : frame.scene,
      player: actor(round),
      item,
      move: said,
      from,
      notable: [],
    }
    frames.push(frame)
    frame = { ...frame, answered: [...frame.answered, item].slice(-kept) }
  }
  frames.push({
    ...frame,
    stage: 'moved',
    round: after,
    scene: sceneOf(after, viewer),
    player: actor(round),
    item: null,
    move: said,
    from,
    waits: move === null,
    notable: events.flatMap(({ notable = [] }) => notable),
  })
  return frames
}

/** One call serves all: where the others work out the same, the class sees it once. */
function sameForAll(after: Round, items: readonly PracticeItem[], viewer: Viewer): Round {
  let round = after
  while (round.phase === 'choose' && gameOf(round.game).goes === 'call') {
    const { move, chance } = moveOf(round, choiceFor(round))
    if (JSON.stringify(asks(round, move)) !== JSON.stringify(items) || hasOwnTable(round)) break
    round = choose({ ...round, chance }, move, viewer).round
  }
  return round
}

/** Each has a card or a board to look at: what one does there is no other's. */
const hasOwnTable = ({ game, state }: Round) =>
  gameOf(game)
    .table.things(state, 'all')
    .some(({ owner }) => owner !== null)

/** A thoughtful child plays before the class, unless thinking takes too long to be watched. */
export const choiceFor = ({ game, params }: Round) =>
  gameOf(game).thinksLong?.(params) ? 'novice' : 'planner'

function movedFrom({ things }: Scene, edits: readonly Edit[]): string | null {
  const moved = edits.find((edit) => edit.op === 'move')
  return moved ? (things.find(({ id }) => id === moved.id)?.at ?? null) : null
}

/** A game in one picture: its table at a level after a few goes of a seeded round. */
export function pictureOf(game: AnyGame, params: unknown): { layout: Layout; scene: Scene } {
  const players = Math.min(6, playersToShow(game))
  // Each game has luck of its own.
  const seed = [...game.id].reduce((sum, letter) => sum + letter.charCodeAt(0), 0)
  let frame = firstFrame(newRound(game.id, params, players, seed))
  let best = frame
  // Of the pictures of the first goes the one with most to see; the middle of a game beats its beginning.
  for (let parts = 0; parts < 6 * players; parts++) {
    const frames = nextFrames(frame)
    if (frames.length === 0) break
    for (const one of frames) if (seen(one) >= seen(best)) best = one
    frame = frames.at(-1)!
    if (frame.goes >= 4 && frame.round.phase !== 'choose') break
  }
  return { layout: game.table.layout(params, players), scene: best.scene }
}

const seen = ({ scene: { things } }: Frame) =>
  things.reduce((sum, { face, many = 1 }) => sum + (face ? 2 : 1) + Math.min(4, many) / 4, 0)

import { z } from 'zod'
import { bestOf, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { rollInAnyOrder, range } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie, diceThings } from '../../families/on-table'
import { grid, onTable, place, stacked, pips, type Table } from '../../../table'

const paramsSchema = z.object({
  dice: z.number().int().min(2).max(6),
  /** Write the run when it is made. */
  record: z.boolean().default(false),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Faces each player keeps, as a bit mask. */
  kept: readonly number[]
  /** Faces on the table after the throw, kept ones included. */
  faces: number
  /** The dice thrown in this go. */
  thrown: readonly number[]
}

interface View {
  dice: number
}

const bit = (face: number) => 1 << (face - 1)
const size = (mask: number) => {
  let count = 0
  for (let left = mask; left; left &= left - 1) count++
  return count
}

const windowsKnown = new Map<number, readonly number[]>()

/** Runs of consecutive faces, as masks. */
function windows(dice: number): readonly number[] {
  const known = windowsKnown.get(dice)
  if (known) return known
  const found: number[] = []
  for (let low = 1; low + dice - 1 <= 6; low++) {
    let mask = 0
    for (let face = low; face < low + dice; face++) mask |= bit(face)
    found.push(mask)
  }
  windowsKnown.set(dice, found)
  return found
}

const keepsKnown = new Map<number, readonly number[]>()

/** Every choice of faces that can still belong to one run; the whole run where it is there. */
function keepsFrom(dice: number, faces: number): readonly number[] {
  const key = dice * 64 + faces
  const known = keepsKnown.get(key)
  if (known) return known
  const done = windows(dice).find((run) => (run & faces) === run)
  let found: number[] = []
  if (done !== undefined) found = [done]
  else
    for (let keep = 0; keep < 64; keep++)
      if ((keep & faces) === keep && windows(dice).some((run) => (run & keep) === keep)) found.push(keep)
  keepsKnown.set(key, found)
  return found
}

const expectations = new Map<number, Float64Array>()

/**
 * Expected throws under best play, by the faces kept. Keeping the same faces again is always possible,
 * so the equations are solved by repeating them until nothing changes (value iteration; Bellman 1957).
 */
function expectedThrows(dice: number): Float64Array {
  const known = expectations.get(dice)
  if (known) return known
  const shown = facesShown(dice)
  const equations: { keep: number; ways: { share: number; keeps: readonly number[] }[] }[] = []
  for (let keep = 63; keep >= 0; keep--) {
    if (!windows(dice).some((run) => (run & keep) === keep) || size(keep) >= dice) continue
    const ways = [...shown[dice - size(keep)]]
    equations.push({
      keep,
      ways: ways.map(([mask, share]) => ({ share, keeps: keepsFrom(dice, mask | keep) })),
    })
  }
  const expected = new Float64Array(64)
  for (let change = 1; change > 1e-14;) {
    change = 0
    for (const { keep, ways } of equations) {
      let value = 1
      for (const { share, keeps } of ways) {
        let least = Infinity
        for (const next of keeps) least = Math.min(least, expected[next])
        value += share * least
      }
      change = Math.max(change, Math.abs(value - expected[keep]))
      expected[keep] = value
    }
  }
  expectations.set(dice, expected)
  return expected
}

/** Chance of each set of faces shown by 0, 1 … `dice` dice. */
function facesShown(dice: number): Map<number, number>[] {
  const shown: Map<number, number>[] = [new Map([[0, 1]])]
  for (let n = 1; n <= dice; n++) {
    const next = new Map<number, number>()
    for (const [mask, share] of shown[n - 1])
      for (let face = 1; face <= 6; face++)
        next.set(mask | bit(face), (next.get(mask | bit(face)) ?? 0) + share / 6)
    shown.push(next)
  }
  return shown
}

function play(state: State, keep: number | null, sink?: Sink): State {
  const { params, kept, turn: player } = state
  const now = keep ?? kept[player]
  const ended = size(now) === params.dice
  if (sink) {
    const shown = [1, 2, 3, 4, 5, 6].filter((face) => now & bit(face))
    shown.forEach((face) => {
      if (now & bit(face + 1) && face < 6)
        sink({
          kind: 'answered',
          player,
          item: { op: 'neighbour', of: face, by: 1, answer: face + 1 },
          steps: 1,
        })
    })
    sink({ kind: 'took', player, cards: shown })
    if (ended && params.record) sink({ kind: 'wrote', player, what: 'sentence', text: shown.join(', ') })
  }
  const { players, faces, thrown } = state
  return { params, players, turn: nextTurn(state), ended, kept: replaced(kept, player, now), faces, thrown }
}

const level = (dice: number) =>
  levelOf<Params>(`dice-${dice}`, `${dice} dice`, 6, 'pictures', { dice, record: false })

const facesIn = (mask: number) => [1, 2, 3, 4, 5, 6].filter((face) => mask & bit(face))

const table: Table<Params, State, number> = {
  layout: ({ dice }, players) =>
    onTable(
      stacked(
        12,
        grid(
          range(0, players - 1).map((player) => ({
            id: `kept-${player}`,
            shape: 'square',
            tone: 'quiet',
            owner: player,
            label: 'kept',
          })),
          1,
          [26 * dice, 26],
          8,
        ),
        place('device', [24 * dice + 4, 24]),
      ),
    ),
  things: ({ params, kept, thrown, turn, players }) => [
    ...kept.flatMap((mask, player) =>
      facesIn(mask).map((face) =>
        lie(`kept-${player}-${face}`, 'die', `kept-${player}`, pips(face), { owner: player }),
      ),
    ),
    ...diceThings(Math.min(params.dice, thrown.length || params.dice), thrown),
    // The others' dice lie at their places.
    ...range(0, players - 1).flatMap((player) =>
      player === turn || size(kept[player]) === params.dice
        ? []
        : range(1, params.dice - size(kept[player])).map((i) =>
            lie(`waiting-${player}-${i}`, 'die', `kept-${player}`, null, { owner: player }),
          ),
    ),
  ],
  say: ({ turn }, keep) => ({ verb: 'keep', numbers: facesIn(keep), spots: ['device', `kept-${turn}`] }),
}

export const diceRun = defineGame<Params, State, number, View>({
  id: 'dice-run',
  title: 'Dice Run',
  summary: 'Keep the dice that help, throw the rest again, until they make a run.',
  section: 'order',
  params: paramsSchema,
  levels: [level(3), level(4), level(5), level(6)],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    kept: Array<number>(players).fill(0),
    faces: 0,
    thrown: [],
  }),
  roll({ params, players, turn: player, ended, kept }, chance, sink) {
    const thrown = rollInAnyOrder(params.dice - size(kept[player]), chance, player, sink)
    let faces = kept[player]
    for (const face of thrown) faces |= bit(face)
    return { params, players, turn: player, ended, kept, faces, thrown }
  },
  moves: ({ params, faces }) => keepsFrom(params.dice, faces),
  play,
  view: ({ params }) => ({ dice: params.dice }),
  planner: ({ dice }, options) => {
    const expected = expectedThrows(dice)
    return bestOf(options, (keep) => -expected[keep])
  },
  lumpKey: ({ kept }) => kept.join(),
  variants: (params): Variant<Params>[] =>
    params.dice > 3
      ? [{ change: 'fewer-tokens', amount: params.dice - 1, params: { ...params, dice: params.dice - 1 } }]
      : [],
  table,
  materials: ({ dice, record }) => [
    // What is kept stays with the child, so that each needs own dice.
    perPlayer({ kind: 'die', sides: 6 }, dice),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'runs' })] : []),
  ],
  room: { ...quietTable, noise: 2, together: false, win: true },
})

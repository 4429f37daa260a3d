import { newRound, type Notable } from '@/core/games/engine/round'
import { roundWith } from '@/core/games/engine/demonstration'
import { firstFrame, nextFrames, type Frame } from '@/core/games/playing/showing'
import { gameOf } from '@/core/games'

/** The pictures shown so far and the one in view: stepping back is an index into them. */
export interface Film {
  frames: readonly Frame[]
  at: number
}

export const begin = (game: string, params: unknown, players: number, seed: number): Film => ({
  frames: [firstFrame(newRound(game, params, players, seed))],
  at: 0,
})

export const current = ({ frames, at }: Film): Frame => frames[at]

/** The next picture; the same film at the end of the round. */
export function next({ frames, at }: Film): Film {
  if (at + 1 < frames.length) return { frames, at: at + 1 }
  const more = nextFrames(frames[at])
  return more.length === 0 ? { frames, at } : { frames: [...frames, ...more], at: at + 1 }
}

export const back = ({ frames, at }: Film): Film => ({ frames, at: Math.max(0, at - 1) })

/** The picture after which this go began. */
function goStart({ frames, at }: Film): number {
  let start = at
  while (start > 0 && frames[start].round.phase !== 'roll') start--
  return start
}

/**
 * The go in view is played with what real dice showed, or, without, with other luck.
 * @throws {ImpossibleDevice} if the device can't give the numbers
 */
export function again(
  film: Film,
  given?: readonly number[],
  luck = Math.floor(Math.random() * 2 ** 31),
): Film {
  // Between goes it is the go to come; within one the same go once more.
  const start = goStart(film)
  const before = film.frames[start]
  const round = given
    ? before.round
    : {
        ...before.round,
        chance: newRound(before.round.game, before.round.params, before.round.state.players, luck).chance,
      }
  const more = nextFrames({ ...before, round }, given)
  return more.length === 0 ? film : { frames: [...film.frames.slice(0, start + 1), ...more], at: start + 1 }
}

/** A round in which the case comes up, stopped before the go; null: none was found. */
export function withCase(film: Film, wanted: Notable): Film | null {
  const { round } = film.frames[0]
  const found = roundWith(wanted, gameOf(round.game), round.params, round.state.players)
  if (!found) return null
  let other = begin(round.game, round.params, round.state.players, found.seed)
  for (let steps = 0; steps < 2000; steps++) {
    const frame = current(other)
    if (frame.goes >= found.go) break
    const on = next(other)
    if (on === other || (on.at === other.at && on.frames === other.frames)) break
    other = on
  }
  return other
}

export const isOver = ({ frames, at }: Film): boolean =>
  at === frames.length - 1 && frames[at].round.phase === 'over'

/** What gives the numbers, where a class may use a real one: dice, a spinner, cards. */
export function deviceOf(params: unknown, gameId: string): string | null {
  const things = gameOf(gameId)
    .materials(params)
    .map(({ thing }) => thing)
  if (things.some(({ kind }) => kind === 'die')) return 'dice'
  if (things.some((one) => one.kind === 'spinner' && one.sectors !== 'more and less')) return 'spinner'
  return things.some(({ kind }) => kind === 'number cards') ? 'cards' : null
}

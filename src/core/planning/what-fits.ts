import { ownBand } from '../evidence/fit'
import { games, gameOf } from '../games'
import { inBand } from '../grouping/problem/fit-cost'
import type { StrandId } from '../skills'
import type { Learner, Practised } from './session/context'
import { successOf } from './session/levels'

/** A level with the share a child can be expected to get right alone there. */
interface LevelFit {
  gameId: string
  levelId: string
  success: number
}

/**
 * What to play with a child: the level it plays now, for it fits as it is; another of that game; where none of them
 * fits, another game's; or none at all. `insteadOf`: the game of which no level fits.
 */
export type WhatFits =
  | ({ kind: 'as-now' | 'other-level' } & LevelFit)
  | ({ kind: 'other-game'; insteadOf: string } & LevelFit)
  | { kind: 'none'; insteadOf: string }

/** A level that practises a strand at least so much is one to practise it at. */
const worthPractising = 0.25

const middle = (ownBand[0] + ownBand[1]) / 2

/**
 * The level that fits a child who may be ready for a harder one, or finds its own hard.
 * @param now the level it plays
 */
export function whatFits(
  child: Learner,
  now: { gameId: string; levelId: string },
  strand: StrandId,
  wanted: 'harder' | 'easier',
  figures: Practised,
): WhatFits {
  const fitOf = (gameId: string, levelId: string): LevelFit => ({
    gameId,
    levelId,
    success: successOf(gameId, levelId, child, figures),
  })
  const levelsOf = (gameId: string) => gameOf(gameId).levels.map(({ id }) => fitOf(gameId, id))
  const here = fitOf(now.gameId, now.levelId)
  const changes = ({ success }: LevelFit) =>
    wanted === 'harder' ? success < here.success - 1e-9 : success > here.success + 1e-9
  const staysAsItIs: WhatFits = { kind: 'as-now', ...here }
  if (wanted === 'easier' && inBand(here.success, ownBand)) return staysAsItIs
  const other = nearest(levelsOf(now.gameId).filter(changes))
  if (other) return { kind: 'other-level', ...other }
  if (inBand(here.success, ownBand)) return staysAsItIs
  const practised = (fit: LevelFit) =>
    figures
      .profile(fit.gameId, fit.levelId)
      .reduce((sum, step) => sum + (step.strand === strand ? step.share : 0), 0) >= worthPractising
  const elsewhere = nearest(
    games
      .filter(({ id, room }) => id !== now.gameId && !room.whole && !room.adult)
      .flatMap(({ id }) => levelsOf(id))
      .filter(practised),
  )
  return elsewhere
    ? { kind: 'other-game', insteadOf: now.gameId, ...elsewhere }
    : { kind: 'none', insteadOf: now.gameId }
}

/** Of the levels in the zone the one nearest to its middle. */
function nearest(levels: readonly LevelFit[]): LevelFit | null {
  return levels
    .filter(({ success }) => inBand(success, ownBand))
    .reduce<LevelFit | null>(
      (best, level) =>
        best && Math.abs(best.success - middle) <= Math.abs(level.success - middle) ? best : level,
      null,
    )
}

import { expectedSuccess, ownBand } from '@/core/evidence/fit'
import type { HomeGame } from '@/core/printing/home-kit'
import { playedIn } from '@/data/queries/held'
import type { ClassScope } from '@/data/scope'
import type { Child } from '../children'
import { levelProfile, mainStrand } from '../figures'
import { printThread } from '../heavy/threads'

const limitMs = 60_000

/** Levels that can be played at home: they hang on the catalogue alone, and are found once. */
const shared = globalThis as { islandsHomeLevels?: Promise<HomeGame[]> }

function homeLevels(): Promise<HomeGame[]> {
  shared.islandsHomeLevels ??= printThread()
    .run('homeLevels', {}, { limitMs })
    .catch((error: unknown) => {
      delete shared.islandsHomeLevels
      throw error
    })
  return shared.islandsHomeLevels
}

/** At home nobody teaches: right a little more often than in class, in the upper part of what fits. */
const wanted = (ownBand[0] + 3 * ownBand[1]) / 4
/** Success that a game the child knows already is worth: nobody has to explain it. */
const known = 0.05

/** The game and level that suit each child at home, by its own level; children of whom nothing suits are left out. */
export async function homeGamesFor(
  scope: ClassScope,
  children: readonly Child[],
): Promise<{ child: Child; home: HomeGame }[]> {
  const [levels, played] = await Promise.all([homeLevels(), playedIn(scope)])
  const knows = new Set(played.map(({ pupilId, gameId }) => `${pupilId} ${gameId}`))
  return children.flatMap((child) => {
    const best = levels
      // On a strand it has not begun, it would be practised at home before anybody has taught it.
      .filter(({ gameId }) => child.followed.length === 0 || child.followed.includes(mainStrand(gameId)))
      .map((home) => ({
        home,
        off:
          Math.abs(expectedSuccess(levelProfile(home.gameId, home.levelId), child.rightAlone) - wanted) -
          (knows.has(`${child.id} ${home.gameId}`) ? known : 0),
      }))
      .reduce<{ home: HomeGame; off: number } | null>(
        (least, one) => (!least || one.off < least.off ? one : least),
        null,
      )
    return best ? [{ child, home: best.home }] : []
  })
}

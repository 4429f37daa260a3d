import type { LevelPictures } from './heavy/jobs'
import { remembered } from './heavy/remembered'
import { gameThread, planThread } from './heavy/threads'

/** Nobody waits longer for pictures. */
const limitMs = 20_000

/**
 * The pictures of a game as it is played by some rules: the same for everybody. They are found by playing, which is not
 * done on the server's own thread; rules made by hand, which may take long, not on the one that plans wait for either.
 * @param ofLevel the rules are those of a level
 * @returns null where it took too long
 */
export const picturesOf = (game: string, params: unknown, ofLevel: boolean): Promise<LevelPictures | null> =>
  remembered(ofLevel ? planThread() : gameThread(), 'pictures', { game, params }, limitMs).catch(() => null)

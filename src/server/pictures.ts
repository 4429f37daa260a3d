import { planThread } from './heavy/threads'
import { Stopped } from './heavy/pool'
import { remembered } from './heavy/remembered'
import type { LevelPictures } from './heavy/jobs'

/** Rules made by hand may take long to play; nobody waits longer for their pictures. */
const limitMs = 2_000

/**
 * The pictures of a game as it is played by some rules: the same for everybody. They are found by playing, which is not
 * done on the server's own thread; null where it takes too long.
 */
export async function picturesOf(game: string, params: unknown): Promise<LevelPictures | null> {
  const ask = () => remembered(planThread(), 'pictures', { game, params }, limitMs)
  try {
    return await ask()
  } catch (error) {
    if (error instanceof Stopped && error.why === 'too-long') return null
    // It was let go because others came after it.
    return ask().catch(() => null)
  }
}

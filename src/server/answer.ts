import { z } from 'zod'
import { DatabaseAway } from '@/data/away'
import { isBusy } from './heavy/pool'
import { NotHere, Refused, type UseCase } from './use-case'

export { DatabaseAway, isBusy }

/** What a server action tells the browser: a value, or why nothing was done. */
export type Answer<T> = { ok: true; value: T } | { ok: false; problems: string[] }

/** The server action of a use case, as the interface sees it. */
export type Action<U> =
  U extends UseCase<infer Input, infer Output> ? (input: Input) => Promise<Answer<Output>> : never

/** Turns the refusals of a use case into words for the person; faults of ours stay errors. */
export async function answer<T>(work: Promise<T>): Promise<Answer<T>> {
  try {
    return { ok: true, value: await work }
  } catch (error) {
    if (error instanceof z.ZodError)
      return {
        ok: false,
        problems: error.issues.map(({ path, message }) =>
          path.length > 0 ? `${path.join('.')}: ${message}` : message,
        ),
      }
    if (
      error instanceof Refused ||
      error instanceof NotHere ||
      error instanceof DatabaseAway ||
      isBusy(error)
    )
      return { ok: false, problems: [error.message] }
    throw error
  }
}

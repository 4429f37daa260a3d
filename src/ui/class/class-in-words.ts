import { notSeenFor } from '@/core/evidence/suggestion'
import { many } from '../words'

/**
 * The class in a line: whether everybody was seen of late, and no more than that; how sure one can be of a child is another question.
 * @param since of each child the school days since it was seen; null: never
 */
export function classInWords(since: readonly (number | null)[]): string {
  if (since.length === 0) return 'No children yet'
  const children = many(since.length, 'child', 'children')
  if (since.every((days) => days === null)) return `${children}, none seen yet`
  const notSeen = since.filter((days) => days === null || days >= notSeenFor).length
  return `${children}, ${notSeen === 0 ? 'all seen' : `${notSeen} not seen`} in the last two weeks`
}

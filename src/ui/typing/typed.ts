import { judgements } from '@/core/evidence/observation'
import { noValue, type MarkValue } from '@/core/evidence/mark'

/** What a key means on an adult's sheet: the ring that is drawn there; null: it means nothing. */
export function ringTyped(key: string): MarkValue | null {
  if (key === '0') return noValue
  const judged = judgements[Number(key) - 1]
  return /^[1-9]$/.test(key) && judged ? { ...noValue, judged } : null
}

/** How many are right of a sheet with so many, as it is typed; empty: nothing stands there; a word: why not. */
export function tallyTyped(text: string, of: number): MarkValue | string {
  const trimmed = text.trim()
  if (trimmed === '') return noValue
  const [, first, second] = /^(\d{1,3})(?:\s*(?:\/|of)\s*(\d{1,3}))?$/.exec(trimmed) ?? []
  if (first === undefined) return 'A number, or 7 of 10.'
  const [right, all] = [Number(first), second === undefined ? of : Number(second)]
  if (all < 1 || all > 100) return 'From 1 to 100 on a sheet.'
  if (right > all) return `More right than ${all}.`
  return { judged: null, right, of: all }
}

/** A value as it stands in its field. */
export const asTyped = ({ right, of }: MarkValue, usual: number): string =>
  right === null || of === null ? '' : of === usual ? String(right) : `${right} of ${of}`

import { z } from 'zod'

/**
 * How groups are made: of similar level; mixed, each child with an own range in the same game; of pairs
 * within reach of each other; or by hand.
 */
export const groupingModeSchema = z.enum(['similar', 'mixed', 'pairs', 'hand'])

export type GroupingMode = z.infer<typeof groupingModeSchema>

/** No level is the group's: every child, or every pair, plays at its own. */
export const eachItsOwn = (mode: GroupingMode): boolean => mode === 'mixed' || mode === 'pairs'

import { z } from 'zod'

/**
 * How groups are made: of similar level; mixed, each child with an own range in the same game; of pairs
 * within reach of each other; or by hand.
 */
export const groupingModeSchema = z.enum(['similar', 'mixed', 'pairs', 'hand'])

export type GroupingMode = z.infer<typeof groupingModeSchema>

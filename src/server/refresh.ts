import { strandIds } from '@/core/skills'
import type { Database } from '@/data/connection'
import { estimatesToRefresh, placementOf } from '@/data/queries/estimates'
import { lockPupils } from '@/data/queries/observations'
import { upkeepScope } from '@/data/scope'
import { inTransaction } from '@/data/transaction'
import { ladderOf, rebuildEstimate } from './estimates'

/**
 * Works out every estimate that is missing, as after a backup was brought back, or stands on a ladder of before:
 * one that was kept by an earlier version, or whose strand has other steps now. Each in a transaction of its own, so that it can be broken off at any moment.
 * @returns how many there were
 */
export async function refreshEstimates(database: Database): Promise<number> {
  const ladders = strandIds.map((strand) => ({ strand, ladder: ladderOf(strand) }))
  const stale = await estimatesToRefresh(database, ladders)
  for (const { classId, pupilId, strand } of stale)
    await inTransaction(database, async (transaction) => {
      const scope = await upkeepScope(transaction, classId)
      if (!scope) return
      await lockPupils(scope, [pupilId])
      const placed = await placementOf(scope, pupilId, strand)
      if (placed) await rebuildEstimate(scope, placed)
    })
  return stale.length
}

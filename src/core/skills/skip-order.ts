import { z } from 'zod'
import type { StrandId } from './ladders/strand'

const skipOrders = {
  'tens-fives-twos': ['skip-tens', 'skip-fives', 'skip-twos', 'skip-more'],
  'twos-fives-tens': ['skip-twos', 'skip-fives', 'skip-tens', 'skip-more'],
} as const satisfies Record<string, readonly StrandId[]>

/** In which order a class meets counting in steps: the ladders stay the same, what is offered first changes. */
export const skipOrderSchema = z.enum(Object.keys(skipOrders) as (keyof typeof skipOrders)[])

export type SkipOrder = z.infer<typeof skipOrderSchema>

/** The strands with those of counting in steps in the class's order; all others keep their places. */
export function inSkipOrder(strands: readonly StrandId[], order: SkipOrder): StrandId[] {
  const turn: readonly StrandId[] = skipOrders[order]
  const skips = strands.filter((id) => turn.includes(id)).sort((a, b) => turn.indexOf(a) - turn.indexOf(b))
  return strands.map((id) => (turn.includes(id) ? skips.shift()! : id))
}

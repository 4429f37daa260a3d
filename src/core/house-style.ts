import { z } from 'zod'
import { movingUpSchema } from './evidence/moving-up'
import { groupingModeSchema } from './grouping/making/mode'
import { strandIds, type StrandId } from './skills/ladders/strand'
import { coinageSchema } from './skills/coins'
import { inSkipOrder, skipOrderSchema } from './skills/skip-order'

/** Where practitioners differ: what a class has settled on. Whatever is left out is done in the usual way. */
export const houseStyleSchema = z.object({
  grouping: groupingModeSchema.default('similar'),
  movingUp: movingUpSchema.default({ by: 'estimate' }),
  skipOrder: skipOrderSchema.default('tens-fives-twos'),
  /** What coins are called. */
  coinage: coinageSchema.default('shells'),
  /** A child whom its group's level does not suit plays at its own, in games that can be played beside others. */
  ownLevels: z.boolean().default(true),
  /** A child may play at a screen, and what it answers is kept. */
  digital: z.boolean().default(false),
  /** Strands that the class does not work on now: nothing of them is offered, and what was seen of them is kept. */
  leftAside: z
    .array(z.enum(strandIds))
    .max(strandIds.length - 1, 'One strand at least is worked on.')
    .default([]),
})

export type HouseStyle = z.infer<typeof houseStyleSchema>

/** Of some strands those that the class works on, in its order. */
export const workedOn = (
  { leftAside, skipOrder }: Pick<HouseStyle, 'leftAside' | 'skipOrder'>,
  strands: readonly StrandId[] = strandIds,
): StrandId[] =>
  inSkipOrder(
    strands.filter((strand) => !leftAside.includes(strand)),
    skipOrder,
  )

import { z } from 'zod'
import { movingUpSchema } from './evidence/moving-up'
import { groupingModeSchema } from './grouping/making/mode'
import { skipOrderSchema } from './skills/skip-order'

/** Where practitioners differ: what a class has settled on. Whatever is left out is done in the usual way. */
export const houseStyleSchema = z.object({
  grouping: groupingModeSchema.default('similar'),
  movingUp: movingUpSchema.default({ by: 'estimate' }),
  skipOrder: skipOrderSchema.default('tens-fives-twos'),
  /** A child may play at a screen, and what it answers is kept. */
  digital: z.boolean().default(false),
})

export type HouseStyle = z.infer<typeof houseStyleSchema>

import { z } from 'zod'
import { planSchema, type PlacedPlan } from './plan'

/** A plan that is not ready yet, with the groups it was made for. */
export const planDraftSchema = z.object({
  groupingId: z.uuid(),
  plan: planSchema.transform((plan): PlacedPlan => ({ ...plan, cells: plan.cells ?? [] })),
})

export type PlanDraft = z.infer<typeof planDraftSchema>

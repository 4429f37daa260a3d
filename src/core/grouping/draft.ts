import { z } from 'zod'
import { gameIdSchema, gameOf } from '../games'
import { groupingModeSchema } from './making/mode'
import { mostGroups } from './pennants'

const pennantSchema = z
  .number()
  .int()
  .min(0)
  .max(mostGroups - 1)

/** Groups on the table that are not in use yet: how they were made and who is where. */
export const groupsDraftSchema = z
  .object({
    gameId: gameIdSchema,
    mode: groupingModeSchema,
    /** How they came about, kept with them. */
    note: z.string().max(200),
    groups: z
      .array(
        z.object({
          pennant: pennantSchema,
          levelId: z.string().max(60),
          pupils: z.array(z.uuid()).max(60),
          withAdult: z.boolean(),
        }),
      )
      .min(1)
      .max(mostGroups),
    own: z.record(z.uuid(), z.string().max(60)),
    pairs: z.record(z.uuid(), z.number().int().min(0).max(60)),
    /** Children who stay in their group when groups are made anew. */
    locked: z.array(z.uuid()).max(60),
  })
  .superRefine(({ gameId, groups, own }, context) => {
    const levels = new Set(gameOf(gameId).levels.map(({ id }) => id))
    const played = [...groups.map(({ levelId }) => levelId), ...Object.values(own)]
    if (played.some((levelId) => !levels.has(levelId)))
      context.addIssue({ code: 'custom', path: ['groups'], message: 'The game has no such level.' })
    const pupils = groups.flatMap((group) => group.pupils)
    if (new Set(pupils).size < pupils.length)
      context.addIssue({ code: 'custom', path: ['groups'], message: 'A child is in two groups.' })
    if (new Set(groups.map(({ pennant }) => pennant)).size < groups.length)
      context.addIssue({ code: 'custom', path: ['groups'], message: 'Two groups have the same name.' })
  })

export type GroupsDraft = z.infer<typeof groupsDraftSchema>

/** Every child that a draft names anywhere. */
export const pupilsIn = ({ groups, own, pairs, locked }: GroupsDraft): string[] => [
  ...new Set([
    ...groups.flatMap(({ pupils }) => pupils),
    ...Object.keys(own),
    ...Object.keys(pairs),
    ...locked,
  ]),
]

/** The draft without who is not in the class any more. */
export function withOnly(draft: GroupsDraft, children: ReadonlySet<string>): GroupsDraft {
  const stay = <V>(record: Record<string, V>) =>
    Object.fromEntries(Object.entries(record).filter(([child]) => children.has(child)))
  return {
    ...draft,
    groups: draft.groups.map((group) => ({
      ...group,
      pupils: group.pupils.filter((child) => children.has(child)),
    })),
    own: stay(draft.own),
    pairs: stay(draft.pairs),
    locked: draft.locked.filter((child) => children.has(child)),
  }
}

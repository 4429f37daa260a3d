import { z } from 'zod'
import { addMember, groupingOf } from '@/data/queries/groupings'
import { lockPupils } from '@/data/queries/observations'
import { lockSession } from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { classIdSchema } from '../classes'
import { changingClass, NotHere, Refused } from '../use-case'

const joinSchema = classIdSchema.extend({ sessionId: z.uuid(), pupilId: z.uuid(), groupId: z.uuid() })

/**
 * A child who came after the groups were made joins one of a session's groups: in the version the session was planned
 * with, and in the newest one, where it is in no group yet either. Sent again it changes nothing.
 */
export const joinGroup = changingClass(
  'joinGroup',
  joinSchema,
  async (scope, { sessionId, pupilId, groupId }) => {
    const session = await lockSession(scope, sessionId)
    if (!session || !(await lockPupils(scope, [pupilId])).has(pupilId)) throw new NotHere()
    const [grouping, newest] = [await groupingOf(scope, session.groupingId), await groupingOf(scope)]
    const group = grouping?.groups.find(({ id }) => id === groupId)
    if (!grouping || !group) throw new NotHere()
    const now = grouping.groups.find(({ pupils }) => pupils.includes(pupilId))
    if (now && now.id !== groupId) throw new Refused('The child is in another group already.')
    if (!now) await addMember(scope, grouping.id, groupId, pupilId)
    await tellOf(scope, [sessionId])
    if (!newest || newest.id === grouping.id) return
    const same = newest.groups.find(({ pennant }) => pennant === group.pennant)
    if (same && !newest.groups.some(({ pupils }) => pupils.includes(pupilId)))
      await addMember(scope, newest.id, same.id, pupilId)
  },
)

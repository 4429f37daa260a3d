import { z } from 'zod'
import { deletePupil, isOwed, oweErasure } from '@/data/queries/erase'
import { lockPupils } from '@/data/queries/observations'
import { allInClass } from '@/data/queries/pupils'
import { tellOfClass } from '@/data/queries/telling'
import { serverDatabase } from '@/data/server-database'
import { classIdSchema } from '../classes'
import { changingClass, discreetly, NotHere, type UseCase } from '../use-case'
import { finishErasure, type Erased } from './erasures'

const childSchema = classIdSchema.extend({ pupilId: z.uuid() })

const deleteChild = changingClass('eraseChild', childSchema, async (scope, { pupilId }) => {
  if (await isOwed(scope, pupilId)) return
  if (!(await allInClass(scope, [pupilId]))) throw new NotHere()
  await lockPupils(scope, [pupilId])
  await oweErasure(scope, pupilId)
  await deletePupil(scope, pupilId)
  await tellOfClass(scope)
})

/**
 * Erases a child: every record of it, the traces in the database's files, and the child in every backup. There is
 * no way back. Broken off, it goes on by itself at the next start, or where it is asked for again.
 */
export const eraseChild: UseCase<z.input<typeof childSchema>, Erased> = async (viewer, raw) => {
  const { pupilId, classId } = childSchema.parse(raw)
  await deleteChild(viewer, raw)
  return discreetly(async () => finishErasure(await serverDatabase(), { pupilId, classId }))
}

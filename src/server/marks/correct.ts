import { z } from 'zod'
import { lastMade, saysSomething } from '@/core/evidence/mark'
import { judgements } from '@/core/evidence/observation'
import { insertObservations, lockPupils, recordsMet, setAside } from '@/data/queries/observations'
import { visitsMet } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { now } from '../clock'
import { updateEstimates } from '../estimates'
import { changingClass, NotHere, Refused } from '../use-case'
import { Ledger } from './ledger'

const nobody = '00000000-0000-0000-0000-000000000000'

const correctionSchema = classIdSchema.extend({
  /** Made by the device, so that a correction sent twice is stored once. */
  id: z.uuid(),
  pupilId: z.uuid(),
  recordId: z.uuid(),
  /** What it should have been; `nothing`: it does not count; `as-it-was`: it counts again. */
  to: z.enum([...judgements, 'nothing', 'as-it-was']),
})

/**
 * A record put right afterwards, whoever made it: another one takes its place, on the day and at the step it was seen. What
 * stood before is kept.
 */
export const correctRecord = changingClass(
  'correctRecord',
  correctionSchema,
  async (scope, { id, pupilId, recordId, to }) => {
    if (!(await lockPupils(scope, [pupilId])).has(pupilId)) throw new NotHere()
    const met = await recordsMet(scope, [
      { id, corrects: recordId, observer: nobody, pupilId, visitId: null },
    ])
    const old = met.find((one) => one.id === recordId)
    if (!old || old.pupilId !== pupilId || old.classId !== scope.classId) throw new NotHere()
    if (!saysSomething(old)) throw new Refused('That record says nothing that could be put right.')
    if (to !== 'nothing' && to !== 'as-it-was' && old.judged === null)
      throw new Refused('A count can be taken back. The right one is typed in again.')
    if (await underWay(scope, old))
      throw new Refused('Its session is under way: put it right at the station.')

    const { classId: _class, storedAt: _stored, chain, standing: _standing, ...record } = old
    const last = lastMade(met.filter((one) => one.chain === chain))
    const said =
      to === 'as-it-was'
        ? record
        : { judged: to === 'nothing' ? null : to, right: null, of: null, how: null, slips: null }
    const ledger = new Ledger(scope.classId, met)
    const stands = ledger.takeIn({
      ...record,
      ...said,
      id,
      corrects: recordId,
      // In the name of whoever saw it: a helper's device may still hold marks of its own for the same child.
      adultId: scope.adultId,
      // Later than all before it, whatever the clock of the device was that made those.
      madeAt: new Date(Math.max(now().getTime(), last.madeAt.getTime() + 1)),
    })
    await setAside(scope, ledger.toSetAside)
    await insertObservations(scope, ledger.toAdd)
    await updateEstimates(scope, ledger.changes)
    return stands
  },
)

async function underWay(
  scope: ClassScope,
  { visitId, pupilId }: { visitId: string | null; pupilId: string },
) {
  if (visitId === null) return false
  const met = (await visitsMet(scope, [visitId], [pupilId])).get(visitId)
  return met?.session.state === 'running'
}

import { z } from 'zod'
import {
  adultOf,
  adultsOf,
  insertInvitation,
  onlyTeacherOf,
  retireAdult,
  type AdultOfSchool,
} from '@/data/queries/adults'
import { tellOf } from '@/data/queries/telling'
import { offices, classRoles } from '@/data/schema'
import { inTransaction } from '@/data/transaction'
import { classIdSchema } from '../classes'
import { now } from '../clock'
import { asAdult, NotHere, readingClass, Refused } from '../use-case'
import { hashOfToken, newToken } from './tokens'

const daysGood = 7
const until = () => new Date(now().getTime() + daysGood * 86_400_000)

export interface AdultsPage {
  adults: AdultOfSchool[]
  /** Oneself. */
  self: string
}

/** The adults of the school, for whoever looks after its accounts. */
export const adultsPage = asAdult('adultsPage', z.object({}), async (database, _input, { adultId }) => {
  const { schoolId } = (await adultOf(database, adultId))!
  if (schoolId === null) throw new NotHere()
  return { adults: await adultsOf(database, schoolId), self: adultId } satisfies AdultsPage
})

/** Asks somebody in for an office of the school: the token goes into a link that is good once, for a week. */
export const invite = asAdult(
  'invite',
  z.object({ role: z.enum(offices) }),
  async (database, { role }, viewer) => {
    const { schoolId } = (await adultOf(database, viewer.adultId))!
    if (schoolId === null) throw new NotHere()
    const token = newToken()
    const row = { tokenHash: hashOfToken(token), schoolId, classId: null, role, madeBy: viewer.adultId }
    await insertInvitation(database, { ...row, until: until() })
    return { token }
  },
)

/** Asks somebody into a class, as its teacher or to record at stations. */
export const inviteToClass = readingClass(
  'inviteToClass',
  classIdSchema.extend({ role: z.enum(classRoles) }),
  async ({ db, classId, adultId }, { role }) => {
    const schoolId = (await adultOf(db, adultId))?.schoolId
    if (!schoolId) throw new Refused('Only an adult of the school can ask others in.')
    const token = newToken()
    await insertInvitation(db, {
      tokenHash: hashOfToken(token),
      schoolId,
      classId,
      role,
      madeBy: adultId,
      until: until(),
    })
    return { token }
  },
)

/** An adult leaves the school: it keeps no class and no way in; what it recorded stays. */
export const letAdultGo = asAdult(
  'letAdultGo',
  z.object({ adultId: z.uuid() }),
  async (database, { adultId }, viewer) => {
    if (adultId === viewer.adultId) throw new Refused('That is yourself. Somebody else has to do it.')
    const [self, other] = [await adultOf(database, viewer.adultId), await adultOf(database, adultId)]
    if (!other || !self?.schoolId || other.schoolId !== self.schoolId) throw new NotHere()
    await inTransaction(database, async (transaction) => {
      const alone = await onlyTeacherOf(transaction, adultId)
      if (alone.length > 0)
        throw new Refused(`${alone.join(', ')} would be without a teacher. Ask another one in first.`)
      await tellOf({ db: transaction }, await retireAdult(transaction, adultId))
    })
  },
)

import { z } from 'zod'
import { gameOf } from '@/core/games'
import { allInClass } from '@/data/queries/pupils'
import { lockSession, sessionOf, updateVisit, visitsMet } from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { isWithin, type ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { changingClass, NotHere, Refused } from '../use-case'

const atVisitSchema = classIdSchema.extend({ visitId: z.uuid(), pupilId: z.uuid() })

/** A visit of a session under way with the child at it, held until the transaction ends. */
async function heldVisit(scope: ClassScope, visitId: string, pupilIds: readonly string[]) {
  const met = (await visitsMet(scope, [visitId], pupilIds)).get(visitId)
  if (!met || !isWithin(scope, met) || !(await allInClass(scope, [...pupilIds]))) throw new NotHere()
  if (!pupilIds.every((id) => met.pupilIds.has(id)))
    throw new Refused('The child was not at this station in this slot.')
  await lockSession(scope, met.session.id)
  const session = (await sessionOf(scope, met.session.id))!
  if (session.state !== 'running') throw new Refused('The session is not under way.')
  return { met, session, visit: session.visits.find(({ id }) => id === visitId)! }
}

/** From now on the child plays a step easier or harder at this visit; its marks are about that level. */
export const changeLevelNow = changingClass(
  'changeLevelNow',
  atVisitSchema.extend({ to: z.enum(['easier', 'harder']) }),
  async (scope, { visitId, pupilId, to }) => {
    const { met, session, visit } = await heldVisit(scope, visitId, [pupilId])
    const { levels } = gameOf(met.gameId)
    const now = levels.findIndex(({ id }) => id === (visit.ownLevels[pupilId] ?? visit.levelId))
    const next = levels[now + (to === 'easier' ? -1 : 1)]
    if (now < 0 || !next) throw new Refused(`There is no ${to} level of this game.`)
    const { [pupilId]: _before, ...others } = visit.ownLevels
    const own = next.id === visit.levelId ? others : { ...others, [pupilId]: next.id }
    await updateVisit(scope, visitId, { ownLevels: own })
    await tellOf(scope, [session.id])
    return { level: next.title }
  },
)

/** Two children of a group change places: each plays with those the other one played with. */
export const swapSeats = changingClass(
  'swapSeats',
  atVisitSchema.extend({ withId: z.uuid() }),
  async (scope, { visitId, pupilId, withId }) => {
    const { session, visit } = await heldVisit(scope, visitId, [pupilId, withId])
    const other = (id: string) => (id === pupilId ? withId : id === withId ? pupilId : id)
    if (!visit.seats.some((set) => set.includes(pupilId) !== set.includes(withId)))
      throw new Refused('They play with each other already.')
    await updateVisit(scope, visitId, { seats: visit.seats.map((set) => set.map(other)) })
    await tellOf(scope, [session.id])
  },
)

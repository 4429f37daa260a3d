import { cpSync, existsSync } from 'node:fs'
import { freshFolder } from '../e2e/support/server'
import { openDatabase } from '../src/data/connection'
import { classesOf } from '../src/data/queries/classes'
import { nextSession } from '../src/data/queries/sessions'
import { enterClass } from '../src/data/scope'
import { theTeacher } from '../src/server/viewer'
import { markFor, postMark, quantile, rounded, say, serveFolder } from './support'
import { makeYear } from './year'

interface School {
  folder: string
  classId: string
  visits: { id: string; pupilId: string }[]
}

/** The folder of a school, made once and gone on with where it was broken off. */
async function schoolOf(
  name: string,
  classes: number,
  days: number,
  marksADay: number,
): Promise<School & { marks: number }> {
  const folder = `.islands/trial-${name}`
  if (!existsSync(folder)) cpSync(freshFolder(), folder, { recursive: true })
  const marks = await makeYear(folder, classes, days, marksADay)
  const { database, close } = await openDatabase({ folder })
  const [{ id: classId }] = await classesOf(database, theTeacher.id)
  const scope = (await enterClass(database, theTeacher.id, classId))!
  const session = (await nextSession(scope))!
  const visits = session.visits.flatMap(({ id, seats }) => seats.flat().map((pupilId) => ({ id, pupilId })))
  await close()
  return { folder, classId, visits, marks }
}

const places = ['', '/class', '/groups', '/games', '/plan', '/run', '/progress']
const rounds = 25

/** Median milliseconds of each page, of a mark and of a correction. */
async function timesOf({ folder, classId, visits }: School) {
  const server = (await serveFolder(folder))!
  const child = visits[0].pupilId
  const asks: Record<string, () => Promise<unknown>> = Object.fromEntries(
    [...places, `/children/${child}`].map((place) => [
      place.startsWith('/children') ? 'child' : place || 'harbour',
      () => fetch(`${server.url}/c/${classId}${place}`).then((page) => page.text()),
    ]),
  )
  const observer = crypto.randomUUID()
  let turn = 0
  asks.mark = () => {
    const { id, pupilId } = visits[turn++ % visits.length]
    return postMark(server.url, classId, markFor(id, pupilId))
  }
  asks.correction = () =>
    postMark(server.url, classId, markFor(visits[0].id, visits[0].pupilId, { observer }))
  const times: Record<string, number> = {}
  for (const [name, ask] of Object.entries(asks)) {
    for (let i = 0; i < 4; i++) await ask()
    const taken: number[] = []
    for (let i = 0; i < rounds; i++) {
      const begun = performance.now()
      await ask()
      taken.push(performance.now() - begun)
    }
    times[name] = quantile(taken, 0.5)
  }
  await server.stop()
  return times
}

/** A school of twenty classes after a year beside a school of one class: every page, a mark, a correction. */
export async function scale(classes: number, days: number, marksADay: number) {
  say(`making ${classes} classes of 30 with ${days} days of ${marksADay} marks a child`)
  const large = await schoolOf(`year-${classes}-${days}`, classes, days, marksADay)
  const small = await schoolOf('one', 1, 1, marksADay)
  const [one, year] = [await timesOf(small), await timesOf(large)]
  return {
    marks: large.marks,
    ratios: Object.fromEntries(Object.keys(one).map((name) => [name, rounded(year[name] / one[name], 2)])),
    yearMs: Object.fromEntries(Object.entries(year).map(([name, ms]) => [name, rounded(ms)])),
  }
}

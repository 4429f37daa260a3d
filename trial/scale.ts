import { cpSync, existsSync } from 'node:fs'
import { freshFolder } from '../e2e/support/server'
import { openDatabase } from '../src/data/connection'
import { classesOf } from '../src/data/queries/classes'
import { nextSession } from '../src/data/queries/sessions'
import { enterClass } from '../src/data/scope'
import { ownTeacher, theTeacher } from '../src/server/viewer'
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
  const scope = (await enterClass(database, ownTeacher(), classId))!
  const session = (await nextSession(scope))!
  const visits = session.visits.flatMap(({ id, seats }) => seats.flat().map((pupilId) => ({ id, pupilId })))
  await close()
  return { folder, classId, visits, marks }
}

const places = ['', '/class', '/groups', '/games', '/plan', '/run', '/progress']
const rounds = 25

/** What is asked of a school: every page, a mark, a correction. */
function asksOf({ classId, visits }: School, url: string): Record<string, () => Promise<unknown>> {
  const child = visits[0].pupilId
  const observer = crypto.randomUUID()
  let turn = 0
  const pages = [...places, `/children/${child}`].map((place) => [
    place.startsWith('/children') ? 'child' : place || 'harbour',
    () => fetch(`${url}/c/${classId}${place}`).then((page) => page.text()),
  ])
  return {
    ...Object.fromEntries(pages),
    mark: () => {
      const { id, pupilId } = visits[turn++ % visits.length]
      return postMark(url, classId, markFor(id, pupilId))
    },
    correction: () => postMark(url, classId, markFor(visits[0].id, visits[0].pupilId, { observer })),
  }
}

/** Median milliseconds of each ask in each school, asked in turn so that a machine's mood meets all of them alike. */
async function timesOf(schools: readonly School[]): Promise<Record<string, number>[]> {
  const servers = await Promise.all(schools.map(({ folder }) => serveFolder(folder)))
  const asks = schools.map((school, i) => asksOf(school, servers[i]!.url))
  const times: Record<string, number>[] = schools.map(() => ({}))
  for (const name of Object.keys(asks[0])) {
    const taken: number[][] = schools.map(() => [])
    for (let round = -4; round < rounds; round++)
      for (const [i, ask] of asks.entries()) {
        const begun = performance.now()
        await ask[name]()
        if (round >= 0) taken[i].push(performance.now() - begun)
      }
    taken.forEach((ms, i) => (times[i][name] = quantile(ms, 0.5)))
  }
  await Promise.all(servers.map((server) => server!.stop()))
  return times
}

/** A school of twenty classes after a year beside a school of one class: every page, a mark, a correction. */
export async function scale(classes: number, days: number, marksADay: number) {
  say(`making ${classes} classes of 30 with ${days} days of ${marksADay} marks a child`)
  const large = await schoolOf(`year-${classes}-${days}`, classes, days, marksADay)
  const small = await schoolOf('one', 1, 1, marksADay)
  const [one, year] = await timesOf([small, large])
  return {
    marks: large.marks,
    ratios: Object.fromEntries(Object.keys(one).map((name) => [name, rounded(year[name] / one[name], 2)])),
    yearMs: Object.fromEntries(Object.entries(year).map(([name, ms]) => [name, rounded(ms)])),
  }
}

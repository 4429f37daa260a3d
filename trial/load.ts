import { rmSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { games } from '../src/core/games'
import { openDatabase } from '../src/data/connection'
import { freshFolder } from '../e2e/support/server'
import { runningSession } from '../e2e/support/school'
import { stillProcess } from './still'
import { markFor, postMark, quantile, rounded, say, serveFolder, wait } from './support'

const names = Array.from({ length: 26 }, (_, i) => `Child${String.fromCharCode(65 + i)}`)
const devices = 40
/** Each device marks about so often: twice what an adult at a station does at the busiest. */
const everyMs = 2_000

/** Forty devices record, first alone, then while the heaviest pages are asked for without end. */
export async function load(secondsEach: number) {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder, names)
  const server = (await serveFolder(folder))!
  const acknowledged: string[] = []

  async function record(seconds: number): Promise<number[]> {
    const times: number[] = []
    const until = performance.now() + seconds * 1000
    const device = async (number: number) => {
      const observer = crypto.randomUUID()
      await wait(Math.random() * everyMs)
      for (let i = number; performance.now() < until; i++) {
        const visit = visits[i % visits.length]
        const mark = markFor(visit.id, visit.children[i % visit.children.length].id, { observer })
        const begun = performance.now()
        if (await postMark(server.url, classId, mark)) acknowledged.push(mark.id)
        times.push(performance.now() - begun)
        await wait(everyMs * (0.5 + Math.random()))
      }
    }
    await Promise.all(Array.from({ length: devices }, (_, number) => device(number)))
    return times
  }

  const still = stillProcess()
  await record(10)
  await server.longestBlock()
  await still.longestMs()
  say(`40 devices alone for ${secondsEach} s`)
  const alone = await record(secondsEach)
  const blockAlone = await server.longestBlock()
  const stillAlone = await still.longestMs()
  say(`40 devices beside the heaviest pages for ${secondsEach} s`)
  let heavy = true
  let pages = 0
  const heaviest = [
    ['fog-number', 'to-100'],
    ['low-tide', 'operations'],
    ['grid-hop', 'two-markers'],
    ['card-run', 'five'],
    ...games.flatMap(({ id, levels }) => levels.slice(-1).map((level) => [id, level.id])),
  ]
  const reader = async (start: number) => {
    for (let i = start; heavy; i += 2) {
      const [game, level] = heaviest[i % heaviest.length]
      const slot = 5 + (i % 30)
      const path = i % 5 === 4 ? '/plan' : `/games/${game}?level=${level}&slot=${slot}&players=${2 + (i % 3)}`
      const page = await fetch(`${server.url}/c/${classId}${path}`)
      await page.text()
      if (page.status === 200) pages++
      await wait(250)
    }
  }
  const readers = [reader(0), reader(1)]
  const beside = await record(secondsEach)
  const blockBeside = await server.longestBlock()
  const stillBeside = await still.longestMs()
  await still.end()
  heavy = false
  await Promise.all(readers)
  const stopping = performance.now()
  await server.stop()
  const stopSeconds = (performance.now() - stopping) / 1000
  const { database, close } = await openDatabase({ folder })
  const { rows } = await database.execute<{ id: string }>(sql`select id from observation`)
  await close()
  rmSync(folder, { recursive: true, force: true })
  const stored = new Set(rows.map(({ id }) => id))
  const ratio = (q: number) => rounded(quantile(beside, q) / quantile(alone, q), 2)
  return {
    devices,
    marks: acknowledged.length,
    lost: acknowledged.filter((id) => !stored.has(id)).length,
    heavyPages: pages,
    p50Ratio: ratio(0.5),
    p99Ratio: ratio(0.99),
    p99AloneMs: rounded(quantile(alone, 0.99)),
    p99BesideMs: rounded(quantile(beside, 0.99)),
    longestBlockAloneMs: blockAlone.ms,
    longestUndisturbedBlockAloneMs: blockAlone.undisturbedMs,
    undisturbedIn100Alone: blockAlone.undisturbedIn100,
    longestWorkAloneMs: blockAlone.workMs,
    // What the machine does to a process with nothing to do, in the same minutes.
    stillBlockAloneMs: stillAlone,
    longestCollectionAloneMs: blockAlone.collectionMs,
    longestCollectionAlone: blockAlone.collection,
    longestBlockBesideMs: blockBeside.ms,
    longestUndisturbedBlockBesideMs: blockBeside.undisturbedMs,
    undisturbedIn100Beside: blockBeside.undisturbedIn100,
    longestWorkBesideMs: blockBeside.workMs,
    stillBlockBesideMs: stillBeside,
    longestCollectionBesideMs: blockBeside.collectionMs,
    longestCollectionBeside: blockBeside.collection,
    stopSeconds: rounded(stopSeconds, 1),
  }
}

import { rmSync } from 'node:fs'
import { games } from '../src/core/games'
import { freshFolder } from '../e2e/support/server'
import { runningSession } from '../e2e/support/school'
import { quantile, rounded, say, serveFolder } from './support'

/** Every level page, with three sizes of set and three slots: each is to answer with what is known. */
export async function levels() {
  const folder = freshFolder()
  const { classId } = await runningSession(folder)
  const server = (await serveFolder(folder))!
  const times: { ms: number; of: string }[] = []
  let broken = 0
  await fetch(`${server.url}/c/${classId}/games/landfall`).then((page) => page.text())
  await server.longestBlock()
  for (const { id, levels: all, players } of games) {
    for (const level of all)
      for (const setOf of [players.min, players.typical, players.max])
        for (const slot of [5, 12, 30]) {
          const begun = performance.now()
          const page = await fetch(
            `${server.url}/c/${classId}/games/${id}?level=${level.id}&players=${setOf}&slot=${slot}`,
          )
          await page.text()
          times.push({
            ms: performance.now() - begun,
            of: `${id} ${level.id}, ${setOf} players, ${slot} minutes`,
          })
          if (page.status !== 200) broken++
        }
  }
  say(`${times.length} level pages`)
  const block = await server.longestBlock()
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
  const all = times.map(({ ms }) => ms)
  const slowest = times.reduce((most, one) => (one.ms > most.ms ? one : most))
  return {
    pages: times.length,
    broken,
    over300ms: all.filter((ms) => ms > 300).length,
    p50Ms: rounded(quantile(all, 0.5)),
    p99Ms: rounded(quantile(all, 0.99)),
    slowest: `${rounded(slowest.ms)} ms: ${slowest.of}`,
    longestBlockMs: block.ms,
  }
}

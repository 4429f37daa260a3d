import { readFileSync, rmSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { sql } from 'drizzle-orm'
import { openDatabase } from '../src/data/connection'
import { freshFolder } from '../e2e/support/server'
import { runningSession } from '../e2e/support/school'
import { markFor, postMark, quantile, rounded, say, serveFolder, wait } from './support'

const names = Array.from({ length: 26 }, (_, i) => `Child${String.fromCharCode(65 + i)}`)
const devices = 40
/** Each device marks about so often. */
const everyMs = 4_000

/** Memory of a process that stays in the machine, in MB. */
const residentMb = (pid: number) =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024)

/** Forty devices of one session listen and record: each sees what every other one has recorded. */
export async function room(seconds: number) {
  const folder = freshFolder()
  const { classId, sessionId, visits } = await runningSession(folder, names)
  const server = (await serveFolder(folder))!
  const sent = new Map<string, number>()
  const acknowledged: string[] = []
  const storing: number[] = []
  /** How long after it was sent a mark was seen elsewhere, by the minute of the trial it was sent in. */
  const delays = Array.from({ length: Math.max(1, Math.ceil(seconds / 60)) }, (): number[] => [])
  const began = performance.now()
  const minuteOf = (at: number) => Math.min(delays.length - 1, Math.floor((at - began) / 60_000))
  const seen = Array.from({ length: devices }, () => new Set<string>())
  const stop = new AbortController()

  const listen = async (number: number) => {
    const { body } = await fetch(`${server.url}/c/${classId}/live/${sessionId}`, { signal: stop.signal })
    const decoder = new TextDecoder()
    let text = ''
    for await (const chunk of body!) {
      text += decoder.decode(chunk as Uint8Array, { stream: true })
      const lines = text.split('\n')
      text = lines.pop()!
      for (const line of lines) {
        if (!line.startsWith('data: ')) continue
        const { marks, full } = JSON.parse(line.slice(6)) as {
          full?: true
          marks?: { put: { id: string }[] }
        }
        for (const { id } of marks?.put ?? []) {
          const at = sent.get(id)
          if (!seen[number].has(id) && at !== undefined && !full)
            delays[minuteOf(at)].push(performance.now() - at)
          seen[number].add(id)
        }
      }
    }
  }
  const listeners = Array.from({ length: devices }, (_, number) => listen(number).catch(() => undefined))
  await wait(1_000)
  const until = performance.now() + seconds * 1000
  const record = async (number: number) => {
    const observer = crypto.randomUUID()
    await wait(Math.random() * everyMs)
    for (let i = number; performance.now() < until; i++) {
      const visit = visits[i % visits.length]
      const mark = markFor(visit.id, visit.children[i % visit.children.length].id, { observer })
      const at = performance.now()
      sent.set(mark.id, at)
      if (await postMark(server.url, classId, mark)) acknowledged.push(mark.id)
      storing.push(performance.now() - at)
      await wait(everyMs * (0.5 + Math.random()))
    }
  }
  const still = monitorEventLoopDelay({ resolution: 5 })
  still.enable()
  say(`40 devices listen and record for ${seconds} s`)
  const recording = Promise.all(Array.from({ length: devices }, (_, number) => record(number)))
  await wait(Math.min(20, seconds / 4) * 1000)
  const before = residentMb(server.child.pid!)
  await recording
  still.disable()
  const after = residentMb(server.child.pid!)
  await wait(2_000)
  stop.abort()
  await Promise.all(listeners)
  await server.stop()
  const { database, close } = await openDatabase({ folder })
  const { rows } = await database.execute<{ id: string; standing: boolean }>(
    sql`select id, standing from observation`,
  )
  await close()
  rmSync(folder, { recursive: true, force: true })
  const stored = new Set(rows.map(({ id }) => id))
  const standing = rows.filter((row) => row.standing).map(({ id }) => id)
  return {
    devices,
    marks: acknowledged.length,
    lost: acknowledged.filter((id) => !stored.has(id)).length,
    // A mark in whose place another one came at once is not told of: the last one counts.
    standingUnseen: seen.reduce((sum, own) => sum + standing.filter((id) => !own.has(id)).length, 0),
    seenTimes: delays.flat().length,
    p50Ms: rounded(quantile(delays.flat(), 0.5)),
    p99Ms: rounded(quantile(delays.flat(), 0.99)),
    longestMs: rounded(quantile(delays.flat(), 1)),
    // A machine that is shared has slow minutes: they show here.
    p99OfMinutesMs: delays.map((minute) => rounded(quantile(minute, 0.99))),
    storedP50Ms: rounded(quantile(storing, 0.5)),
    storedP99Ms: rounded(quantile(storing, 0.99)),
    // What the machine does to a process that only waits and reads.
    stillP99Ms: rounded(still.percentile(99) / 1e6),
    stillLongestMs: rounded(still.max / 1e6),
    residentMbBefore: before,
    residentMbAfter: after,
  }
}

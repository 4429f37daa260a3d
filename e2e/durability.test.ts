import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { readFileSync } from 'node:fs'
import { openDatabase } from '../src/data/connection'
import { observation } from '../src/data/schema'
import { runningSession } from './support/school'
import { freshFolder, startServer } from './support/server'

test('SIGKILL during a stream of marks loses none that was acknowledged, and a restart works at once', async () => {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder)
  const server = await startServer(folder)
  const acknowledged = new Set<string>()
  const devices = Array.from({ length: 4 }, () => crypto.randomUUID())
  const visit = visits[0]
  let killed = false

  async function device(number: number) {
    for (let i = 0; !killed; i++) {
      const id = crypto.randomUUID()
      const child = visit.children[(number + i) % visit.children.length]
      const body = {
        id,
        observer: devices[number],
        visitId: visit.id,
        pupilId: child.id,
        judged: 'own',
        madeAt: new Date().toISOString(),
      }
      const response = await fetch(`${server.url}/c/${classId}/marks`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }).catch(() => null)
      if (response?.ok && (await response.json().catch(() => null))?.ok) acknowledged.add(id)
    }
  }
  const running = [0, 1, 2, 3].map(device)
  while (acknowledged.size < 60) await new Promise((resolve) => setTimeout(resolve, 20))
  await server.stop('SIGKILL')
  killed = true
  await Promise.all(running)

  const again = await startServer(folder)
  await again.stop()
  const { database, close } = await openDatabase({ folder })
  const stored = new Set(
    (await database.select({ id: observation.id }).from(observation)).map(({ id }) => id),
  )
  await close()
  expect(acknowledged.size).toBeGreaterThanOrEqual(60)
  expect([...acknowledged].filter((id) => !stored.has(id))).toEqual([])
})

test('a second process on the same folder is refused with a clear message, and before anything else is done', async () => {
  const folder = freshFolder()
  const server = await startServer(folder)
  const second = spawn(process.execPath, ['bin/run.mjs', 'start'], {
    env: { ...process.env, ISLANDS_FOLDER: folder },
  })
  let said = ''
  second.stderr.on('data', (chunk) => (said += chunk))
  const [code] = await once(second, 'exit')
  expect(code).toBe(3)
  expect(said).toContain('is in use by another Islands')
  expect(said).not.toContain('building')
  // The server guards its folder itself, too.
  await expect(startServer(folder)).rejects.toThrow('is in use by another Islands')
  expect((await fetch(`${server.url}/new`)).status).toBe(200)
  await server.stop()
})

/** Seconds of a processor that a process has used. */
function processorSeconds(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')
  return (Number(fields[11]) + Number(fields[12])) / 100
}

test('the window that the server was started in is closed: it goes on, and at rest it rests', async () => {
  const folder = freshFolder()
  const { classId } = await runningSession(folder)
  const server = await startServer(folder)
  server.process.stdout!.destroy()
  server.process.stderr!.destroy()
  // Something that is printed: a request that can't be read.
  await fetch(`${server.url}/c/${classId}/groups`, {
    method: 'POST',
    headers: { 'next-action': 'nothing', 'content-type': 'text/plain' },
    body: '[',
  }).catch(() => undefined)
  expect((await fetch(`${server.url}/c/${classId}`)).status).toBe(200)
  // Threads that were made ready at the start have come to rest by then.
  await new Promise((resolve) => setTimeout(resolve, 6_000))
  const before = processorSeconds(server.process.pid!)
  await new Promise((resolve) => setTimeout(resolve, 3_000))
  expect(processorSeconds(server.process.pid!) - before).toBeLessThan(1)
  expect((await fetch(`${server.url}/c/${classId}`)).status).toBe(200)
  await server.stop('SIGKILL')
})

import { spawn, type ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { once } from 'node:events'
import { serving } from '../bin/serving.cjs'

export const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
export const say = (line: string) => process.stderr.write(`trial: ${line}\n`)

/** A share of sorted values: 0.99 is the value that 99 in 100 do not exceed. */
export function quantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? NaN
}

export const rounded = (value: number, digits = 0) => Number(value.toFixed(digits))

async function freePort(): Promise<number> {
  const server = createServer()
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as { port: number }
  server.close()
  return port
}

interface Block {
  ms: number
  /** The same between looks in which nothing was taken from this machine by the one it is a guest on. */
  undisturbedMs: number
  /** How many in a hundred looks those were. */
  undisturbedIn100: number
  /** Of the block at most, what a core worked on it: the rest is what others had of the machine. NaN where it can't be told. */
  workMs: number
  /** Longest collection of memory, part of a block or not, and of which kind it was. */
  collectionMs: number
  collection: string
}

export interface Served {
  url: string
  child: ChildProcess
  log(): string
  /** Longest time in ms for which the server's own thread did nothing else, since it was asked last. */
  longestBlock(): Promise<Block>
  stop(signal?: NodeJS.Signals): Promise<void>
}

/** Starts the built server on a folder and waits until it answers; null if it ends instead. */
export async function serveFolder(folder: string, { cold = false } = {}): Promise<Served | null> {
  const port = await freePort()
  const flags = cold ? ['--cold'] : []
  const child = spawn(process.execPath, [...serving, String(port), ...flags], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      ISLANDS_FOLDER: folder,
      ISLANDS_BACKUPS: `${folder}-backups`,
      ISLANDS_TRIAL: 'yes',
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let log = ''
  child.stdout.on('data', (chunk) => (log += chunk))
  child.stderr.on('data', (chunk) => (log += chunk))
  const url = `http://127.0.0.1:${port}`
  for (let attempt = 0; attempt < 3000; attempt++) {
    if (child.exitCode !== null || child.signalCode !== null) {
      say(`the server ended: ${log}`)
      return null
    }
    if (log.includes(cold ? 'Islands is ready' : 'every page is warm')) break
    await wait(20)
  }
  return {
    url,
    child,
    log: () => log,
    async longestBlock() {
      const before = log.length
      child.kill('SIGUSR2')
      for (;;) {
        const found =
          /longest block (\S+) ms, undisturbed (\S+) ms \((\d+) .*, of own work (\S+) ms, .*\((.*)\) (\S+) ms/.exec(
            log.slice(before),
          )
        if (found)
          return {
            ms: Number(found[1]),
            undisturbedMs: Number(found[2]),
            undisturbedIn100: Number(found[3]),
            workMs: Number(found[4]),
            collection: found[5],
            collectionMs: Number(found[6]),
          }
        await wait(20)
      }
    },
    async stop(signal = 'SIGTERM') {
      if (child.exitCode !== null || child.signalCode !== null) return
      const ended = once(child, 'exit')
      child.kill(signal)
      await ended
    },
  }
}

export async function postMark(url: string, classId: string, mark: object): Promise<boolean> {
  try {
    const response = await fetch(`${url}/c/${classId}/marks`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(mark),
    })
    return response.ok && ((await response.json()) as { ok: boolean }).ok
  } catch {
    return false
  }
}

export const markFor = (visitId: string, pupilId: string, change: object = {}) => ({
  id: crypto.randomUUID(),
  observer: crypto.randomUUID(),
  visitId,
  pupilId,
  judged: (['own', 'help', 'notYet'] as const)[Math.floor(Math.random() * 3)],
  madeAt: new Date().toISOString(),
  ...change,
})

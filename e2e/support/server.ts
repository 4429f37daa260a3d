import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { serving, shortLived } from '../../bin/serving.cjs'

export interface TestServer {
  url: string
  folder: string
  process: ChildProcess
  /** What the server wrote so far. */
  output(): string
  stop(signal?: NodeJS.Signals): Promise<void>
}

/** A copy of the prepared empty folder. */
export function freshFolder(): string {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-e2e-')), 'data')
  cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
  return folder
}

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer()
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number }
      server.close(() => resolve(port))
    })
  })
}

/** Starts the production server on a data folder and waits until it answers; pages are made ready as they are asked for. */
export async function startServer(
  folder = freshFolder(),
  env: Record<string, string> = {},
  flags: readonly string[] = [],
  wanted?: number,
): Promise<TestServer> {
  const port = wanted ?? (await freePort())
  const child = spawn(process.execPath, [...shortLived, ...serving, String(port), '--cold', ...flags], {
    env: { ...process.env, ...env, NODE_ENV: 'production', ISLANDS_FOLDER: folder },
  })
  let output = ''
  child.stdout.on('data', (chunk) => (output += chunk))
  child.stderr.on('data', (chunk) => (output += chunk))
  const url = `http://127.0.0.1:${port}`
  const server: TestServer = {
    url,
    folder,
    process: child,
    output: () => output,
    stop: (signal = 'SIGTERM') =>
      new Promise((resolve) => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve()
        child.once('exit', () => resolve())
        child.kill(signal)
      }),
  }
  for (let attempt = 0; attempt < 300; attempt++) {
    if (child.exitCode !== null) throw new Error(`The server ended: ${output}`)
    try {
      await fetch(`${url}/new`)
      return server
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  throw new Error(`The server did not start: ${output}`)
}

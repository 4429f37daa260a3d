import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { startServer } from '../e2e/support/server'
import { keyToPaint } from './key-to-paint'
import { median, say } from './report'
import { browserWorker } from './worker'

/** Server time of each demo screen, warm, as a ratio to a page that holds nothing but the frame. Goal: at most 3. */
export async function screens() {
  const folder = '.islands/bench-demo'
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'bin/demo-data.ts', folder], {
    stdio: ['ignore', 2, 2],
  })
  if (status !== 0) throw new Error('No demo data.')
  const server = await startServer(folder)
  const time = async (path: string) => {
    const start = performance.now()
    await (await fetch(server.url + path)).text()
    return performance.now() - start
  }
  try {
    const response = await fetch(`${server.url}/`)
    const base = new URL(response.url).pathname
    const html = await (await fetch(`${server.url}${base}/class`)).text()
    const pupil = /children\/([0-9a-f-]{36})/.exec(html)![1]
    const paths = [
      '',
      '/class',
      '/groups',
      '/games',
      '/games/landfall',
      '/show/landfall',
      '/try/landfall',
      '/plan',
      '/run',
      '/progress',
      `/children/${pupil}`,
    ]
    // The reference is drawn by the same server in the same run: the class's frame with nothing in it.
    const empty = '/games/no-such-game'
    const rounds = 25
    const times = new Map<string, number[]>([
      [empty, []],
      ...paths.map((path) => [path, []] as [string, number[]]),
    ])
    for (let round = -8; round < rounds; round++)
      for (const [path, list] of times) {
        const ms = await time(base + path)
        if (round >= 0) list.push(ms)
      }
    const reference = median(times.get(empty)!)
    say('server time of each screen ÷ an empty page in the same frame (median of 25 warm; goal ≤ 3)')
    for (const path of paths)
      say(
        `  ${(path.replace(pupil, 'CHILD') || '/ (harbour)').padEnd(22)} ${(median(times.get(path)!) / reference).toFixed(2)}`,
      )
    await keyToPaint(server.url, base)
    await browserWorker(server.url, base)
  } finally {
    await server.stop()
  }
}

/** Client JavaScript of each route's first load, gzipped. Goal: at most 250 kB. */
export async function bundles() {
  say()
  say('client JavaScript of the first load, gzipped (goal ≤ 250 kB)')
  const server = await startServer('.islands/bench-demo')
  try {
    const base = new URL((await fetch(`${server.url}/`)).url).pathname
    for (const path of [
      '/new',
      ...[
        '',
        '/class',
        '/groups',
        '/games',
        '/games/landfall',
        '/show/landfall',
        '/try/landfall',
        '/tools',
        '/plan',
        '/run',
        '/progress',
      ].map((part) => base + part),
    ]) {
      const html = await (await fetch(server.url + path)).text()
      const scripts = new Set(
        [...html.matchAll(/<script[^>]+src="(\/_next\/static\/[^"]+\.js)"[^>]*>/g)]
          // A browser that knows modules never fetches the patches for those that don't.
          .filter(([tag]) => !/nomodule/i.test(tag))
          .map(([, src]) => src),
      )
      let bytes = 0
      for (const src of scripts)
        bytes += gzipSync(readFileSync(join('.next', src.replace('/_next/', '')))).length
      say(`  ${path.replace(base, '').padEnd(22) || '/'.padEnd(22)} ${(bytes / 1000).toFixed(0)} kB`)
    }
    const all = sizeOf('.next/static')
    say(`  all static files together ${(all / 1000).toFixed(0)} kB, not compressed`)
  } finally {
    await server.stop()
  }
}

function sizeOf(path: string): number {
  if (!existsSync(path)) return 0
  if (!statSync(path).isDirectory()) return statSync(path).size
  return readdirSync(path).reduce((sum, name) => sum + sizeOf(join(path, name)), 0)
}

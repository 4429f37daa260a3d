// Work that needs nothing of each other, done side by side: what a piece writes is shown only where it fails.
import { spawn } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { root, say } from './setup.mjs'

/**
 * A program with its arguments, what it is called, and by title what must be done before it.
 * @typedef {{ title: string, program: string, args: string[], after?: string[] }} Piece
 */

/**
 * Runs pieces side by side, as many at once as there are cores, in their order; none before those it comes after.
 * Where one fails what it wrote is shown, the others are ended, and so is this process.
 * @param {readonly Piece[]} pieces
 */
export async function together(pieces) {
  const waiting = [...pieces]
  const running = new Map()
  const done = new Set()
  const begun = performance.now()
  while (waiting.length + running.size > 0) {
    for (let i = 0; i < waiting.length && running.size < availableParallelism();) {
      const piece = waiting[i]
      if (!(piece.after ?? []).every((title) => done.has(title))) {
        i++
        continue
      }
      waiting.splice(i, 1)
      running.set(piece.title, begin(piece))
    }
    if (running.size === 0) throw new Error(`Nothing comes before ${waiting[0].after}.`)
    const { title, code, output } = await Promise.race([...running.values()].map(({ ended }) => ended))
    running.delete(title)
    if (code !== 0) {
      for (const { child } of running.values()) child.kill()
      process.stderr.write(output)
      say(`${title}: failed`)
      process.exit(code ?? 1)
    }
    done.add(title)
    say(`${title}: done after ${Math.round((performance.now() - begun) / 1000)} s`)
  }
}

function begin({ title, program, args }) {
  say(`${title} …`)
  const child = spawn(program, args, {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  })
  let output = ''
  child.stdout.on('data', (text) => (output += text))
  child.stderr.on('data', (text) => (output += text))
  const ended = new Promise((resolve, reject) => {
    child.on('error', reject)
    child.on('close', (code) => resolve({ title, code, output }))
  })
  return { child, ended }
}

// What a fresh machine needs: npm packages, the browser for tests, a build. Each step is skipped when
// its stamp says that nothing changed since.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isThere } from './postgres.cjs'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** Messages go to standard error: standard output belongs to the command's own answer. */
export const say = (message) => process.stderr.write(`islands: ${message}\n`)

export function run(program, args, env = {}) {
  const { status, error } = spawnSync(program, args, {
    cwd: root,
    stdio: ['inherit', 'inherit', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  })
  if (error) throw error
  if (status !== 0) process.exit(status ?? 1)
}

export function fingerprint(paths) {
  const hash = createHash('sha256')
  const visit = (path) => {
    if (!existsSync(path)) return
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) visit(join(path, name))
    } else hash.update(path).update(readFileSync(path))
  }
  for (const path of paths) visit(join(root, path))
  return hash.digest('hex')
}

function once(stamp, print, title, work) {
  const file = join(root, stamp)
  if (existsSync(file) && readFileSync(file, 'utf8') === print) return
  say(title)
  work()
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, print)
}

/**
 * npm packages as the lock file says. Not by `npm ci`: it refuses a lock file that lacks the native
 * parts of other operating systems, and a registry may not offer them.
 */
export function packages() {
  once(
    'node_modules/.islands-stamp',
    fingerprint(['package-lock.json']),
    'installing packages (about a minute) …',
    () => {
      const { status } = spawnSync(
        'npm',
        ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'],
        { cwd: root, stdio: ['ignore', 2, 2] },
      )
      if (status !== 0) {
        say('npm install failed. Is there a network?')
        process.exit(1)
      }
    },
  )
}

/** What the tests need of Debian: a browser with its driver, another program that reads what is printed, a database server. */
export function debian() {
  fromDebian(
    ...browserNames(),
    ...(existsSync('/usr/bin/pdftoppm') ? [] : ['poppler-utils']),
    ...(isThere() ? [] : ['postgresql']),
  )
}

/** The browser alone. */
export const browser = () => fromDebian(...browserNames())

const browserNames = () =>
  existsSync('/usr/bin/chromium') && existsSync('/usr/bin/chromedriver')
    ? []
    : ['chromium', 'chromium-driver']

function fromDebian(...names) {
  if (names.length === 0) return
  say(`installing Debian’s ${names.join(' and ')} …`)
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = (...args) => {
    const [program, ...all] = [...sudo, 'apt-get', ...args]
    return (
      spawnSync(program, all, {
        stdio: ['ignore', 2, 2],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status === 0
    )
  }
  if (!apt('update', '-qq') || !apt('install', '-y', '-qq', ...names)) {
    say(`could not install them; on Debian: apt-get install ${names.join(' ')}`)
    process.exit(1)
  }
}

/** The production build, made anew when anything it is made from changed. */
export function build() {
  const print = fingerprint(['src', 'next.config.ts', 'tsconfig.json', 'package-lock.json'])
  once('.next/islands-stamp', print, 'building (about a minute) …', () => {
    const { status, stdout, stderr } = spawnSync(
      process.execPath,
      ['node_modules/next/dist/bin/next', 'build'],
      {
        cwd: root,
        encoding: 'utf8',
        env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
      },
    )
    if (status !== 0) {
      process.stderr.write(stdout + stderr)
      process.exit(1)
    }
  })
}

/** What each level of each game comes to, worked out once for a version of the rules. */
export function measures() {
  const print = fingerprint(['src/core', 'bin/measure-games.ts', 'package-lock.json'])
  once('.islands/measures.stamp', print, 'measuring every level of every game (half a minute) …', () =>
    run(process.execPath, ['--import', 'tsx', 'bin/measure-games.ts', '.islands/measures.json']),
  )
}

/** The port, or the next one that is free. */
export async function freePort(port) {
  for (let candidate = port; candidate < port + 50; candidate++) if (await isFree(candidate)) return candidate
  return port
}

function isFree(port) {
  return new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })
}

// The one entry of every command: installs what is missing, says what it does, then does the work.
// Plain JavaScript, because it runs before anything is installed.
import { spawn } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { bundle } from './bundle.mjs'
import { startPostgres } from './postgres.cjs'
import { serving, shortLived } from './serving.cjs'
import {
  browser,
  build,
  debian,
  fingerprint,
  freePort,
  measures,
  packages,
  root,
  run,
  say,
} from './setup.mjs'
import { counters, shareTaken } from './taken.cjs'
import { together } from './together.mjs'

const [command, ...rest] = process.argv.slice(2)
const tsx = ['--import', 'tsx']
/** What is handed to Node goes on to the processes that do the tests. */
const jest = ['--experimental-vm-modules', ...shortLived, 'node_modules/jest/bin/jest.js']

const commands = {
  async demo() {
    packages()
    await serve({ folder: join(root, '.islands/demo'), port: 3210, before: demoData })
  },

  /** A part of the others, for what is done beside something else. */
  build: () => build(),

  /** With each page translated when it is asked for, and anew when its code changes. */
  dev() {
    packages()
    bundle()
    measures()
    run('npx', ['next', 'dev'])
  },

  async start() {
    packages()
    await serve({ folder: process.env.ISLANDS_FOLDER ?? join(root, '.islands/data'), port: 3200 })
  },

  /** Parts of the test, for what is done side by side. */
  packages: () => packages(),
  debian: () => debian(),
  measures: () => measures(),

  async test() {
    const [began, before] = [performance.now(), counters()]
    const own = (command) => ({ program: process.execPath, args: [join(root, 'bin/run.mjs'), command] })
    const tool = (...args) => ({ program: 'npx', args })
    await together([
      { title: 'packages', ...own('packages') },
      { title: 'programs of Debian', ...own('debian') },
    ])
    await together([
      { title: 'build', ...own('build') },
      { title: 'measures of every level', ...own('measures') },
      { title: 'lint', ...tool('eslint', '.') },
      // The build writes types of its own.
      { title: 'types', ...tool('tsc', '--noEmit'), after: ['build'] },
      { title: 'formatting', ...tool('prettier', '--check', '--log-level', 'warn', '.') },
      {
        title: 'architecture',
        ...tool('depcruise', 'src', 'bin', '--config', '.dependency-cruiser.cjs'),
      },
      { title: 'dead code', ...tool('knip'), after: ['build'] },
    ])
    const steps = [
      ['unit tests', rest],
      ['browser tests', ['--config', 'e2e/jest.config.mjs', '--maxWorkers=2', ...rest]],
    ]
    for (const [title, args] of steps) {
      say(`${title} …`)
      run(process.execPath, [...jest, ...args])
    }
    await onPostgres()
    const minutes = ((performance.now() - began) / 60_000).toFixed(1)
    const taken = shareTaken(before, counters())
    say(
      `all checks passed in ${minutes} minutes` +
        (taken === null
          ? ''
          : `; ${Math.round(100 * taken)} % of the processors’ time went to other machines`),
    )
  },

  core() {
    packages()
    const core = spawn(process.execPath, [...tsx, join(root, 'bin/core.ts'), ...rest], {
      cwd: root,
      stdio: 'inherit',
    })
    core.on('exit', (code) => process.exit(code ?? 1))
  },

  backup: () => onData('bin/backup.ts', rest),

  restore: () => onData('bin/restore.ts', rest),

  async trial() {
    packages()
    bundle()
    build()
    measures()
    run(process.execPath, [...tsx, 'trial/trial.ts', ...rest])
  },

  bench() {
    packages()
    browser()
    bundle()
    build()
    measures()
    run(process.execPath, [...tsx, 'bench/bench.ts', ...rest])
  },
}

/** What never asks a database, or is the same on both: one run tells all. */
const notOfTheDatabase = [
  'pglite/',
  'heavy/',
  'http/',
  'server/together',
  'data/away',
  'access/who-may',
  'server/print',
]

/** The server's tests once more, on a PostgreSQL server. */
async function onPostgres() {
  say('the server’s tests on PostgreSQL …')
  const server = await startPostgres()
  try {
    const files = ['src/server', 'src/data', '--testPathIgnorePatterns', ...notOfTheDatabase]
    run(process.execPath, [...jest, ...files, ...rest], { ISLANDS_TEST_SERVER: server.url })
  } finally {
    server.end()
  }
}

async function serve({ folder, port, before }) {
  if (!process.env.DATABASE_URL) await mustBeFree(folder)
  bundle()
  // Beside each other: the demo data needs the measures, but no build.
  const built = inBackground('build')
  measures()
  before?.(folder)
  await built
  const chosen = process.env.PORT ? Number(process.env.PORT) : await freePort(port)
  const lan = rest.includes('--lan')
  const tls = lan && rest.includes('--tls')
  if (!lan)
    say(
      'only this computer can reach it (npm start -- --lan opens it to the local network, with --tls by an encrypted line)',
    )
  const server = spawn(
    process.execPath,
    [...serving, String(chosen), ...(lan ? ['--lan'] : []), ...(tls ? ['--tls'] : [])],
    {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, NODE_ENV: 'production', ISLANDS_FOLDER: folder },
    },
  )
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', (code) => process.exit(code ?? 0))
}

/** Ends with a message where the folder can't be used; asked before anything is built. */
async function mustBeFree(folder) {
  const { register } = await import('tsx/esm/api')
  const unregister = register()
  const { FolderInUse, whyNotFree } = await import('../src/data/pglite/folder.ts')
  const why = whyNotFree(folder)
  await unregister()
  if (why === null) return
  say(why.message)
  process.exit(why instanceof FolderInUse ? 3 : 4)
}

/** A command on the data that runs while no server does. */
function onData(script, args) {
  packages()
  bundle()
  run(process.execPath, [...tsx, script, ...args], {
    ISLANDS_FOLDER: process.env.ISLANDS_FOLDER ?? join(root, '.islands/data'),
  })
}

/** Made once for a scenario; on another day its dates are moved. Nothing is started where there is nothing to do. */
function demoData(folder) {
  const print = fingerprint(['src/demo', 'bin/demo-data.ts'])
  const today = new Intl.DateTimeFormat('en-CA', { timeZone: 'Europe/London' }).format(new Date())
  const stamp = `${folder}.stamp`
  if (existsSync(stamp) && existsSync(folder) && readFileSync(stamp, 'utf8') === `${print} ${today}`) return
  run(process.execPath, [...tsx, 'bin/demo-data.ts', folder, print])
}

/** One of these commands in a process of its own; where it fails, this one ends as well. */
function inBackground(command) {
  const started = spawn(process.execPath, [join(root, 'bin/run.mjs'), command], {
    cwd: root,
    stdio: 'inherit',
  })
  return new Promise((resolve) =>
    started.on('exit', (code) => (code === 0 ? resolve() : process.exit(code ?? 1))),
  )
}

if (!(command in commands)) {
  console.error(`Commands: ${Object.keys(commands).join(', ')}.`)
  process.exit(2)
}
await commands[command]()

// The one entry of every command: installs what is missing, says what it does, then does the work.
// Plain JavaScript, because it runs before anything is installed.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { startPostgres } from './postgres.cjs'
import { browser, build, freePort, measures, packages, postgres, root, run, say } from './setup.mjs'

const [command, ...rest] = process.argv.slice(2)
const tsx = ['--import', 'tsx']

const commands = {
  async demo() {
    packages()
    await serve({ folder: join(root, '.islands/demo'), port: 3210, before: demoData })
  },

  async start() {
    packages()
    await serve({ folder: process.env.ISLANDS_FOLDER ?? join(root, '.islands/data'), port: 3200 })
  },

  async test() {
    packages()
    browser()
    postgres()
    build()
    measures()
    const steps = [
      ['types', 'npx', ['tsc', '--noEmit']],
      ['lint', 'npx', ['eslint', '.']],
      ['formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
      ['architecture', 'npx', ['depcruise', 'src', 'bin', '--config', '.dependency-cruiser.cjs']],
      ['dead code', 'npx', ['knip']],
      ['unit tests', 'npx', ['jest', ...rest]],
      ['browser tests', 'npx', ['jest', '--config', 'e2e/jest.config.mjs', '--runInBand', ...rest]],
    ]
    for (const [title, program, args] of steps) {
      say(`${title} …`)
      run(program, args, { NODE_OPTIONS: '--experimental-vm-modules' })
    }
    await onPostgres()
    say('all checks passed')
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
    build()
    measures()
    run(process.execPath, [...tsx, 'trial/trial.ts', ...rest])
  },

  bench() {
    packages()
    browser()
    build()
    measures()
    run(process.execPath, [...tsx, 'bench/bench.ts', ...rest])
  },
}

/** The server's tests once more, on a PostgreSQL server. */
async function onPostgres() {
  say('the server’s tests on PostgreSQL …')
  const server = await startPostgres()
  try {
    run('npx', ['jest', 'src/server', 'src/data', ...rest], {
      NODE_OPTIONS: '--experimental-vm-modules',
      ISLANDS_TEST_SERVER: server.url,
    })
  } finally {
    server.end()
  }
}

async function serve({ folder, port, before }) {
  if (!process.env.DATABASE_URL) await mustBeFree(folder)
  build()
  measures()
  before?.(folder)
  const chosen = process.env.PORT ? Number(process.env.PORT) : await freePort(port)
  const lan = rest.includes('--lan')
  if (!lan) say('only this computer can reach it (npm start -- --lan opens it to the local network)')
  const server = spawn(
    process.execPath,
    [...tsx, 'bin/serve.ts', String(chosen), ...(lan ? ['--lan'] : [])],
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
  run(process.execPath, [...tsx, script, ...args], {
    ISLANDS_FOLDER: process.env.ISLANDS_FOLDER ?? join(root, '.islands/data'),
  })
}

function demoData(folder) {
  run(process.execPath, [...tsx, 'bin/demo-data.ts', folder])
}

if (!(command in commands)) {
  console.error(`Commands: ${Object.keys(commands).join(', ')}.`)
  process.exit(2)
}
await commands[command]()

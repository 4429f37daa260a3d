// The one entry of every command: installs what is missing, says what it does, then does the work.
// Plain JavaScript, because it runs before anything is installed.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { browser, build, freePort, measures, packages, root, run, say } from './setup.mjs'

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

  test() {
    packages()
    browser()
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

  bench() {
    packages()
    browser()
    build()
    measures()
    run(process.execPath, [...tsx, 'bench/bench.ts', ...rest])
  },
}

async function serve({ folder, port, before }) {
  const { default: fsx } = await import('fs-native-extensions')
  const { inUse } = await import('./folder.mjs')
  const holder = process.env.DATABASE_URL ? null : inUse(folder, fsx.tryLock)
  if (holder !== null) {
    say(
      `${folder} is in use by another Islands${holder && ` (process ${holder})`}. Stop that one first, or choose another folder with ISLANDS_FOLDER.`,
    )
    process.exit(3)
  }
  build()
  measures()
  before?.(folder)
  const chosen = process.env.PORT ? Number(process.env.PORT) : await freePort(port)
  const host = rest.includes('--lan') ? '0.0.0.0' : '127.0.0.1'
  say(
    host === '127.0.0.1'
      ? 'only this computer can reach it (npm start -- --lan opens it to the local network)'
      : 'anyone on the local network can reach it; there are no accounts yet',
  )
  const server = spawn(
    process.execPath,
    [join(root, 'node_modules/next/dist/bin/next'), 'start', '-H', host, '-p', String(chosen)],
    {
      cwd: root,
      stdio: ['inherit', 'pipe', 'inherit'],
      env: { ...process.env, NODE_ENV: 'production', ISLANDS_FOLDER: folder },
    },
  )
  server.stdout.on('data', (chunk) => {
    if (String(chunk).includes('Ready')) say(`Islands is ready: http://localhost:${chosen}`)
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', (code) => process.exit(code ?? 0))
}

function demoData(folder) {
  run(process.execPath, [...tsx, 'bin/demo-data.ts', folder])
}

if (!(command in commands)) {
  console.error(`Commands: ${Object.keys(commands).join(', ')}.`)
  process.exit(2)
}
await commands[command]()

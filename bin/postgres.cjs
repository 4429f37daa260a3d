// Debian's PostgreSQL for the tests: a cluster of its own in a folder that goes when it is stopped.
// CommonJS, because both the plain scripts and the tests load it.
const { spawnSync } = require('node:child_process')
const { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } = require('node:fs')
const { createServer } = require('node:net')
const { tmpdir } = require('node:os')
const { join } = require('node:path')

const home = '/usr/lib/postgresql'

/** The newest PostgreSQL there is; null: none. */
function binaries() {
  if (!existsSync(home)) return null
  const [newest] = readdirSync(home).sort((a, b) => Number(b) - Number(a))
  const bin = newest && join(home, newest, 'bin')
  return bin && existsSync(join(bin, 'initdb')) ? bin : null
}

const isThere = () => binaries() !== null

/** Root may not run a database: it is run as Debian's user for it. */
function call(program, args) {
  const root = process.getuid?.() === 0
  const [command, all] = root ? ['runuser', ['-u', 'postgres', '--', program, ...args]] : [program, args]
  const { status, stderr, stdout } = spawnSync(command, all, { encoding: 'utf8', cwd: tmpdir() })
  if (status !== 0) throw new Error(`${program} failed: ${stderr || stdout}`)
}

const freePort = () =>
  new Promise((resolve) => {
    const server = createServer()
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })

/** Starts a server. @returns its address, and a way to stop it, start it again and end it */
async function startPostgres() {
  const bin = binaries()
  const port = await freePort()
  const folder = mkdtempSync(join(tmpdir(), 'islands-postgres-'))
  chmodSync(folder, 0o777)
  const data = join(folder, 'data')
  call(join(bin, 'initdb'), ['-D', data, '-U', 'islands', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8'])
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${folder} -c max_connections=60`
  const start = () =>
    call(join(bin, 'pg_ctl'), ['-D', data, '-w', '-o', options, '-l', join(folder, 'log'), 'start'])
  const stop = () => call(join(bin, 'pg_ctl'), ['-D', data, '-w', '-m', 'immediate', 'stop'])
  start()
  return {
    url: `postgres://islands@127.0.0.1:${port}/postgres`,
    start,
    stop,
    end() {
      stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

module.exports = { isThere, startPostgres }

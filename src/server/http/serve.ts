import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import { hostname, networkInterfaces } from 'node:os'
import next from 'next'
import { stopping } from '@/data/when-stopping'
import { warmThreads } from '../heavy/threads'
import type { Certificate } from './certificate'
import { answer, guard } from './guard'
import { inTurn } from './in-turn'
import { warm } from './warm'

interface ServeOptions {
  port: number
  /** Open to the local network; else only this computer can reach it. */
  lan: boolean
  /** Other devices speak TLS with it; this computer itself needs none. The folder keeps a self-made certificate. */
  tls?: { folder: string } | null
  /** Starts sooner: only the database is opened, neither pages nor threads are made ready beforehand. */
  cold?: boolean
  /** Called when every page was opened once. */
  warmed?: () => void
  say: (line: string) => void
}

/** Open requests are waited for so long when the server stops. */
const patienceMs = 2_000

/** This computer's addresses in the local network. */
export const lanAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)

/**
 * Starts Islands behind its guard, and ends it when it is asked to. What only some servers need is loaded by those alone: the
 * pages bring their own copy of nearly all of it, and reading it twice takes a second of every start.
 */
export async function serve({ port, lan, tls, cold, warmed, say }: ServeOptions): Promise<Server[]> {
  // Whoever read what is printed may have gone, with the window it was started in: that is no fault. Unheard, each
  // failed line would be told by another one, for ever.
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined)
  const addresses = lan ? lanAddresses() : []
  const own = hostname().toLowerCase()
  const hosts = [
    'localhost',
    '127.0.0.1',
    '[::1]',
    ...(lan ? [...addresses, own, `${own}.local`] : []),
    ...(process.env.ISLANDS_HOSTS?.toLowerCase().split(',').filter(Boolean) ?? []),
  ]
  const certificate =
    lan && tls
      ? await (await import('./certificate')).certificateFor(tls.folder, [...addresses, own, `${own}.local`])
      : null
  const scheme = certificate ? 'https' : 'http'
  const [first] = addresses
  // For those who make ways in for other devices; a server behind a name of its own says it itself.
  if (first !== undefined) process.env.ISLANDS_ADDRESS ??= `${scheme}://${first}:${port}`
  const app = next({ dev: false, dir: process.cwd(), hostname: 'localhost', port })
  const handle = app.getRequestHandler()
  await app.prepare()
  const inside = (request: IncomingMessage, response: ServerResponse) => void handle(request, response)
  await warm(inside, 'database')

  const open = !lan || (await accountThere())

  const begin = inTurn()
  const answering = (request: IncomingMessage, response: ServerResponse) => {
    if (!guard(request, response, { hosts })) return
    begin(() => {
      handle(request, response).catch(() => {
        if (response.headersSent) response.destroy()
        else answer(response, 500, 'Something went wrong on our side.')
      })
    })
  }
  // With TLS this computer asks itself in the clear, and each of its other addresses under the same port by TLS.
  const servers = certificate
    ? [
        await listening(createServer(answering), port, '127.0.0.1'),
        ...(await Promise.all(
          addresses.map((address) => listening(createTlsServer(certificate, answering), port, address)),
        )),
      ]
    : [await listening(createServer(answering), port, lan ? '0.0.0.0' : '127.0.0.1')]
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void stop(servers).then(() => process.exit(0)))

  // Whoever comes first need not wait for pages that nobody asked for yet.
  if (!cold) {
    warmThreads()
    void warm(inside, 'pages').then(() => warmed?.())
  }
  say(`Islands is ready: http://localhost:${port}`)
  for (const address of addresses) say(`from other devices: ${scheme}://${address}:${port}`)
  if (certificate) sayWhoItIs(certificate, say)
  if (!open) say(`nothing is open to them yet: make an account first at http://localhost:${port}/account`)
  return servers
}

const accountThere = async () => (await import('../access/sign-in')).accountsThere().catch(() => true)

async function listening<S extends Server>(server: S, port: number, address: string): Promise<S> {
  // A request that trickles in is not waited for, a line that nobody uses is let go.
  server.requestTimeout = 60_000
  server.headersTimeout = 15_000
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, address, resolve)
  })
  return server
}

/** By what another device tells this server from one that only pretends to be it. */
function sayWhoItIs({ fingerprint, selfMade }: Certificate, say: ServeOptions['say']) {
  say(`its certificate has the SHA-256 fingerprint ${fingerprint}`)
  if (selfMade) say('it is self-made: a browser warns once; go on only if it shows the same fingerprint')
}

/** Finishes what is under way, within two seconds, then closes the database. */
async function stop(servers: readonly Server[]) {
  const closed = Promise.all(servers.map((server) => new Promise((resolve) => server.close(resolve))))
  for (const server of servers) server.closeIdleConnections()
  const late = new Promise((resolve) => setTimeout(resolve, patienceMs))
  await stopping('first')
  await Promise.race([closed, late])
  for (const server of servers) server.closeAllConnections()
  await stopping('last')
}

import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { hostname, networkInterfaces } from 'node:os'
import next from 'next'
import { closeServerDatabase } from '@/data/server-database'
import { accountsThere } from '../access/sign-in'
import { closeThreads, warmThreads } from '../heavy/threads'
import { endHubs } from '../live/hub'
import { answer, guard } from './guard'
import { warm } from './warm'

interface ServeOptions {
  port: number
  /** Open to the local network; else only this computer can reach it. */
  lan: boolean
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

/** Starts Islands behind its guard, and ends it when it is asked to. */
export async function serve({ port, lan, cold, warmed, say }: ServeOptions): Promise<Server> {
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
  const [first] = addresses
  // For those who make ways in for other devices; a server behind a name of its own says it itself.
  if (first !== undefined) process.env.ISLANDS_ADDRESS ??= `http://${first}:${port}`
  const app = next({ dev: false, dir: process.cwd(), hostname: 'localhost', port })
  const handle = app.getRequestHandler()
  await app.prepare()
  const inside = (request: IncomingMessage, response: ServerResponse) => void handle(request, response)
  await warm(inside, 'database')

  const server = createServer((request, response) => {
    if (!guard(request, response, { hosts })) return
    handle(request, response).catch(() => {
      if (response.headersSent) response.destroy()
      else answer(response, 500, 'Something went wrong on our side.')
    })
  })
  // A request that trickles in is not waited for, a line that nobody uses is let go.
  server.requestTimeout = 60_000
  server.headersTimeout = 15_000
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, lan ? '0.0.0.0' : '127.0.0.1', resolve)
  })
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void stop(server).then(() => process.exit(0)))

  // Whoever comes first need not wait for pages that nobody asked for yet.
  if (!cold)
    void warm(inside, 'pages').then(() => {
      warmThreads()
      warmed?.()
    })
  say(`Islands is ready: http://localhost:${port}`)
  for (const address of addresses) say(`from other devices: http://${address}:${port}`)
  if (lan && !(await accountsThere().catch(() => true)))
    say(`nothing is open to them yet: make an account first at http://localhost:${port}/account`)
  return server
}

/** Finishes what is under way, within two seconds, then closes the database. */
async function stop(server: Server) {
  const closed = new Promise((resolve) => server.close(resolve))
  server.closeIdleConnections()
  const late = new Promise((resolve) => setTimeout(resolve, patienceMs))
  // Devices that listen are told to come again.
  endHubs()
  await Promise.race([closed, late])
  server.closeAllConnections()
  await Promise.all([closeServerDatabase().catch(() => undefined), closeThreads()])
}

import { createServer, type RequestListener } from 'node:http'
import type { AddressInfo } from 'node:net'

/** Asked for once each; the game and the plan are the pages that take longest the first time. */
const places = [
  '/class',
  '/groups',
  '/games',
  '/games/fog-number',
  '/plan',
  '/run',
  '/progress',
  '/settings',
  '/print',
  '/show/landfall',
  '/try/landfall',
  '/tools',
  '/room',
]
const nobody = '/c/00000000-0000-4000-8000-000000000000'

/**
 * Opens the database by asking for the first page, or every page once: the first time of a page reads its code and
 * makes it ready, for a tenth of a second or two in which nothing else is answered. Done over a port of its own that takes nobody else,
 * because it does not know what the callers gave; what fails is left for the first visit.
 */
export async function warm(handle: RequestListener, what: 'database' | 'pages') {
  const key = crypto.randomUUID()
  const server = createServer((request, response) => {
    if (request.headers['x-warm'] === key) handle(request, response)
    else response.destroy()
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  const open = async (path: string): Promise<{ goesTo: string | null; text: string }> => {
    const page = await fetch(`http://127.0.0.1:${port}${path}`, {
      headers: { 'x-warm': key },
      redirect: 'manual',
      signal: AbortSignal.timeout(10_000),
    })
    return { goesTo: page.headers.get('location'), text: await page.text() }
  }
  try {
    const { goesTo } = await open('/')
    if (what === 'database') return
    await open('/new')
    const home = goesTo?.startsWith('/c/') ? goesTo : nobody
    await open(home)
    for (const place of places) {
      const { text } = await open(home + place)
      const child = place === '/class' ? /\/children\/[0-9a-f-]{36}/.exec(text) : null
      if (child) await open(home + child[0])
    }
  } catch {
    // A page that fails now is told of when somebody asks for it.
  } finally {
    server.closeAllConnections()
    server.close()
  }
}

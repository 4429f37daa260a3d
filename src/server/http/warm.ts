import { createServer, type RequestListener } from 'node:http'
import type { AddressInfo } from 'node:net'
import { writeDownWhence } from './from-where'

const nothing = '00000000-0000-4000-8000-000000000000'

/**
 * Asked for once each: what a lesson may need first, the sooner the likelier. The game and the plan take longest the first time.
 * What only takes something in refuses to be asked, and is ready after that all the same.
 */
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
  '/marks',
  '/told',
  '/drafts',
  `/live/${nothing}`,
  `/sheets/${nothing}`,
  '/check/together',
  '/train/landfall',
  '/questions',
]
const outsideClasses = ['/new', '/account', '/sign-in', '/here', '/here/marks', '/here/told']
const nobody = `/c/${nothing}`

/**
 * Opens the database by asking for the first page, or every page once: the first time of a page reads its code and
 * makes it ready, for a tenth of a second or two in which nothing else is answered. Done over a port of its own that takes nobody else,
 * as somebody who sits at this computer; what fails is left for the first visit.
 */
export async function warm(handle: RequestListener, what: 'database' | 'pages') {
  const key = crypto.randomUUID()
  const server = createServer((request, response) => {
    if (request.headers['x-warm'] !== key) return void response.destroy()
    writeDownWhence(request)
    handle(request, response)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  /** Null: it failed, which is told of when somebody asks for it. */
  const open = async (path: string): Promise<{ goesTo: string | null; text: string } | null> => {
    try {
      const page = await fetch(`http://127.0.0.1:${port}${path}`, {
        headers: { 'x-warm': key },
        redirect: 'manual',
        signal: AbortSignal.timeout(10_000),
      })
      return { goesTo: page.headers.get('location'), text: await page.text() }
    } catch {
      return null
    }
  }
  try {
    const first = await open('/')
    if (what === 'database') return
    const home = first?.goesTo?.startsWith('/c/') ? first.goesTo : nobody
    await open(home)
    for (const place of places) {
      const page = await open(home + place)
      const child = page && place === '/class' ? /\/children\/[0-9a-f-]{36}/.exec(page.text) : null
      if (child) await open(home + child[0])
    }
    for (const place of outsideClasses) await open(place)
  } finally {
    server.closeAllConnections()
    server.close()
  }
}

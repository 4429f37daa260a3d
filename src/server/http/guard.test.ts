import { createServer, request, type IncomingMessage, type Server } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { guard } from './guard'

let server: Server
let port: number
let reached: IncomingMessage[] = []
/** The address from which requests seem to come. */
let from: string | null = null

beforeAll(async () => {
  server = createServer((incoming, response) => {
    if (from) Object.defineProperty(incoming.socket, 'remoteAddress', { value: from, configurable: true })
    if (!guard(incoming, response, { hosts: ['localhost', '127.0.0.1', '192.168.1.7'] })) return
    reached.push(incoming)
    incoming.resume()
    response.end('here')
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  port = (server.address() as AddressInfo).port
})
afterAll(() => server.close())
beforeEach(() => {
  reached = []
  from = null
})

interface Asked {
  path?: string
  method?: string
  headers?: Record<string, string>
  body?: string
}

function ask({ path = '/', method = 'GET', headers = {}, body }: Asked) {
  return new Promise<{ status: number; headers: IncomingMessage['headers']; body: string }>(
    (resolve, reject) => {
      const all = {
        host: 'localhost',
        ...(body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }),
        ...headers,
      }
      const asked = request(
        { host: '127.0.0.1', port, path, method, headers: all, agent: false },
        (response) => {
          let text = ''
          response.on('data', (chunk) => (text += chunk))
          response.on('end', () =>
            resolve({ status: response.statusCode!, headers: response.headers, body: text }),
          )
          response.on('error', reject)
        },
      )
      asked.on('error', reject)
      asked.end(body)
    },
  )
}
const statusOf = async (asked: Asked) => (await ask(asked)).status

test.each<[string, Asked, number]>([
  ['its own name', { headers: { host: 'localhost:3200' } }, 200],
  ['its address', { headers: { host: '192.168.1.7:3200' } }, 200],
  ['a name that was made to point here', { headers: { host: 'rebound.example' } }, 421],
  ['a name that only begins like it', { headers: { host: 'localhost.example' } }, 421],
  ['no proper host', { headers: { host: 'local host' } }, 421],
  ['an address that can’t be read', { path: '/c/%E0%A4%A/run' }, 400],
  ['a NUL in the address', { path: '/c/%00/run' }, 400],
  ['a change from this site', { method: 'POST', body: '{}', headers: { origin: 'http://localhost' } }, 200],
  [
    'a change from another site',
    { method: 'POST', body: '{}', headers: { origin: 'http://other.example' } },
    403,
  ],
  ['a change from nowhere', { method: 'POST', body: '{}', headers: { origin: 'null' } }, 403],
  [
    'a change the browser calls foreign',
    { method: 'POST', body: '{}', headers: { 'sec-fetch-site': 'cross-site' } },
    403,
  ],
  ['a change without a length', { method: 'POST', headers: { 'transfer-encoding': 'chunked' } }, 411],
  ['a mark of five thousand bytes', { method: 'POST', path: '/c/x/marks', body: 'x'.repeat(5000) }, 413],
  [
    'an entry of a helper of five thousand bytes',
    { method: 'POST', path: '/here/told', body: 'x'.repeat(5000) },
    413,
  ],
  ['a class of five thousand bytes', { method: 'POST', path: '/new', body: 'x'.repeat(5000) }, 200],
  ['a method that nobody needs', { method: 'DELETE' }, 405],
])('%s: %j', async (_title, asked, status) => {
  expect(await statusOf(asked)).toBe(status)
  expect(reached).toHaveLength(status === 200 ? 1 : 0)
})

test('700 MB are refused by what they say of themselves, before any of them is read', async () => {
  const before = process.memoryUsage().rss
  const said = await new Promise<string>((resolve) => {
    const socket = connect(port, '127.0.0.1')
    let text = ''
    socket.on('data', (chunk) => (text += chunk))
    socket.on('close', () => resolve(text))
    socket.on('error', () => undefined)
    socket.write('POST /new HTTP/1.1\r\nhost: localhost\r\ncontent-length: 700000000\r\n\r\n')
    const chunk = Buffer.alloc(1_000_000)
    const more = setInterval(() => (socket.writable ? socket.write(chunk) : clearInterval(more)), 1)
  })
  expect(said).toMatch(/^HTTP\/1.1 413/)
  expect(reached).toEqual([])
  expect(process.memoryUsage().rss - before).toBeLessThan(100_000_000)
})

test('every answer has its headers, with a nonce that is new each time and handed to the pages', async () => {
  const [first, second] = [await ask({}), await ask({ headers: { host: 'rebound.example' } })]
  for (const { headers } of [first, second]) {
    const policy = String(headers['content-security-policy'])
    expect(policy).not.toMatch(/unsafe|https?:|\*/)
    for (const part of [
      "default-src 'self'",
      "frame-ancestors 'none'",
      "object-src 'none'",
      "base-uri 'none'",
    ])
      expect(policy).toContain(part)
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'same-origin' })
    expect(headers['permissions-policy']).toContain('camera=()')
  }
  expect(first.headers['content-security-policy']).not.toBe(second.headers['content-security-policy'])
  expect(reached[0].headers['content-security-policy']).toBe(first.headers['content-security-policy'])
})

test('where a request comes from is written down by the guard, whatever the request says of itself', async () => {
  const lies = { 'x-islands-here': '1', 'x-islands-address': '127.0.0.1' }
  const seen = async (headers: Record<string, string>) => {
    await ask({ headers: { ...lies, ...headers } })
    const { headers: got } = reached.at(-1)!
    return [got['x-islands-here'], got['x-islands-address']]
  }
  expect(await seen({})).toEqual(['1', '127.0.0.1'])
  // A server of this computer that passes on a request: it comes from elsewhere, from the address it tells.
  expect(await seen({ 'x-forwarded-for': '10.0.0.9, 127.0.0.1' })).toEqual(['0', '10.0.0.9'])
  from = '192.168.1.50'
  expect(await seen({})).toEqual(['0', '192.168.1.50'])
  // Of anybody else that is not believed: each try would have an address of its own.
  expect(await seen({ 'x-forwarded-for': '10.0.0.10' })).toEqual(['0', '192.168.1.50'])
})

test('whether a request came by TLS is seen, not believed: only of a server beside this one', async () => {
  const seen = async (headers: Record<string, string>) => {
    await ask({ headers })
    return reached.at(-1)!.headers['x-forwarded-proto']
  }
  expect(await seen({ 'x-forwarded-proto': 'https' })).toBe('https')
  from = '192.168.1.50'
  expect(await seen({ 'x-forwarded-proto': 'https' })).toBeUndefined()
})

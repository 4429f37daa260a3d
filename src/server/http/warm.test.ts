import type { RequestListener } from 'node:http'
import { warm } from './warm'

const home = '/c/3f1c1a52-6f0b-4d6a-9a86-3c6f6b1b7a11'
const child = '/children/aaaaaaaa-bbbb-4ccc-8ddd-eeeeeeeeeeee'

/** A server that remembers what it was asked, and by whom. */
function asked(answer: (path: string) => 'breaks' | string = () => '') {
  const seen: { path: string; here: unknown }[] = []
  const handle: RequestListener = (request, response) => {
    const path = request.url!
    seen.push({ path, here: request.headers['x-islands-here'] })
    const text = answer(path)
    if (text === 'breaks') return void response.destroy()
    if (path === '/') response.writeHead(307, { location: home })
    response.end(text)
  }
  return { seen, handle }
}

test('every place of the class is opened once, as somebody at this computer: a stranger would be sent away', async () => {
  const { seen, handle } = asked((path) => (path === `${home}/class` ? `<a href="${home}${child}">` : ''))
  await warm(handle, 'pages')
  const paths = seen.map(({ path }) => path)
  expect(paths).toEqual(expect.arrayContaining(['/new', '/here/told']))
  for (const place of [
    '',
    '/marks',
    '/class',
    '/groups',
    '/games/fog-number',
    '/plan',
    '/run',
    '/print',
    child,
  ])
    expect(paths).toContain(home + place)
  expect(new Set(paths).size).toBe(paths.length)
  expect(seen.filter(({ here }) => here !== '1')).toEqual([])
})

test('a page that fails keeps none of the others cold', async () => {
  const { seen, handle } = asked((path) => (path.endsWith('/groups') ? 'breaks' : ''))
  await warm(handle, 'pages')
  expect(seen.map(({ path }) => path)).toContain(`${home}/plan`)
})

test('before the server answers only the first page is asked for', async () => {
  const { seen, handle } = asked()
  await warm(handle, 'database')
  expect(seen.map(({ path }) => path)).toEqual(['/'])
})

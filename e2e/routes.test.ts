import { answering, askersAtADoor, oddNames, pathOf, read, readers, type Asked } from './support/askers'

/**
 * Every page and every route of the application, found in its folders, is asked for as each party over the network: who
 * may not read a class must find none of its children’s names there. A new page without a row there fails.
 */
let asked: Asked

beforeAll(async () => {
  asked = await askersAtADoor()
}, 180_000)
afterAll(() => asked?.server.stop())

const found = answering('src/app').sort()

test('every page and route has its row', () => {
  expect(found).toEqual(Object.keys(readers).sort())
})

test.each(found)('%s tells names to those alone who may read them, whatever the method', async (template) => {
  const { outside, at, cookies } = asked
  const path = pathOf(template, at)
  const told: string[] = []
  for (const [asker, cookie] of Object.entries(cookies)) {
    const { status, text } = await read(outside, path, cookie)
    expect({ asker, fault: status >= 500 }).toEqual({ asker, fault: false })
    if (oddNames.some((name) => text.includes(name))) told.push(asker)
  }
  expect(told.sort()).toEqual([...readers[template]].sort())
  // What is sent by a stranger, from another place on the web, or under another name is refused.
  const body = { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }
  for (const [what, headers] of [
    ['another origin', { origin: 'http://elsewhere.example' }],
    ['nobody', {}],
  ] as const) {
    const { status, text } = await read(outside, path, '', {
      ...body,
      headers: { ...body.headers, ...headers },
    })
    expect({ what, status: status >= 200 && status < 300 && !text.includes('<html') }).toEqual({
      what,
      status: false,
    })
    expect(oddNames.filter((name) => text.includes(name))).toEqual([])
  }
})

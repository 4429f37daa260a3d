import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { createClass } from '../src/server/classes'
import { invite, inviteToClass } from '../src/server/access/adults'
import { acceptInvitation } from '../src/server/access/sign-in'
import { lanAddresses } from '../src/server/http/serve'
import { comeIn, endLinks, makeLink } from '../src/server/room/links'
import { ownTeacher } from '../src/server/viewer'
import { runningSession, withFolder } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

/**
 * Every page and every route of the application, found in its folders, is asked for as each party over the network: who
 * may not read a class must find none of its children’s names there. A new page without a row here fails.
 */
const names = ['Zquala', 'Zquilo', 'Zquena', 'Zquoro', 'Zqueli', 'Zquami']
type Asker =
  | 'nobody'
  | 'teacher'
  | 'helper'
  | 'coordinator'
  | 'another school’s'
  | 'helper link'
  | 'room link'
  | 'station link'
  | 'ended link'

const reading: Asker[] = ['teacher', 'coordinator']
const teaching: Asker[] = ['teacher']
const recording: Asker[] = ['teacher', 'helper']
const none: Asker[] = []

/** By its folder: who may find a child’s name there. Streams tell numbers of children, never names. */
const readers: Record<string, Asker[]> = {
  '/': none,
  '/account': none,
  '/adults': none,
  '/invited': none,
  '/new': none,
  '/settings/import': none,
  '/sign-in': none,
  '/pictures/[gameId]/[levelId]': none,
  '/c/[classId]': reading,
  '/c/[classId]/check/[pupilId]': teaching,
  '/c/[classId]/check/together': teaching,
  '/c/[classId]/children/[pupilId]': reading,
  '/c/[classId]/class': reading,
  '/c/[classId]/drafts': none,
  '/c/[classId]/export': teaching,
  '/c/[classId]/export/[pupilId]': teaching,
  '/c/[classId]/games': none,
  '/c/[classId]/games/[gameId]': reading,
  '/c/[classId]/groups': reading,
  '/c/[classId]/list': reading,
  '/c/[classId]/live/[sessionId]': none,
  '/c/[classId]/marks': none,
  '/c/[classId]/pdf': none,
  '/c/[classId]/plan': reading,
  '/c/[classId]/print': none,
  '/c/[classId]/progress': reading,
  '/c/[classId]/questions': none,
  '/c/[classId]/room': none,
  '/c/[classId]/run': recording,
  '/c/[classId]/settings': reading,
  '/c/[classId]/sheets/[sessionId]': teaching,
  '/c/[classId]/show/[gameId]': none,
  '/c/[classId]/station/[visitId]/[pupilId]': recording,
  '/c/[classId]/told': none,
  '/c/[classId]/tools': none,
  '/c/[classId]/train/[gameId]': none,
  '/c/[classId]/try/[gameId]': none,
  '/here': ['helper link', 'station link'],
  '/here/live': none,
  '/here/marks': none,
  '/here/play/[visitId]/[pupilId]': ['station link'],
  '/here/told': none,
}

/** Folders of the application that answer, without the brackets that only order them. */
function answering(folder: string, path = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory())
      return answering(join(folder, entry.name), entry.name.startsWith('(') ? path : `${path}/${entry.name}`)
    return entry.name === 'page.tsx' || entry.name === 'route.ts' ? [path || '/'] : []
  })
}

let server: TestServer
let outside: string
let at: Record<string, string>
let cookies: Record<Asker, string>

beforeAll(async () => {
  const folder = freshFolder()
  const { classId, sessionId, visits } = await runningSession(folder, names)
  const [visit] = visits
  cookies = await withFolder(folder, async () => {
    const teacher = ownTeacher()
    const linked = async (kind: 'helper' | 'room' | 'station') => {
      const stationId = kind === 'station' ? visit.stationId : null
      const { token } = await makeLink(teacher, { classId, sessionId, kind, stationId })
      return `islands-link=${(await comeIn(crypto.randomUUID(), { token })).token}`
    }
    const accepted = async (token: string, signInName: string) => {
      const given = { token, name: 'Robin', signInName, password: 'seven grey gulls' }
      return `islands-adult=${(await acceptInvitation(given)).token}`
    }
    const ended = await linked('helper')
    await endLinks(teacher, { classId, sessionId })
    const other = crypto.randomUUID()
    await createClass(teacher, {
      classId: other,
      name: 'Other',
      yearGroup: 'Year 1',
      list: { text: 'Ama\nBo', columns: ['name'], hasHeader: false },
    })
    return {
      nobody: '',
      teacher: await accepted((await inviteToClass(teacher, { classId, role: 'teacher' })).token, 'teach'),
      helper: await accepted((await inviteToClass(teacher, { classId, role: 'helper' })).token, 'help'),
      coordinator: await accepted((await invite(teacher, { role: 'coordinator' })).token, 'lead'),
      'another school’s': await accepted(
        (await inviteToClass(teacher, { classId: other, role: 'teacher' })).token,
        'other',
      ),
      'helper link': await linked('helper'),
      'room link': await linked('room'),
      'station link': await linked('station'),
      'ended link': ended,
    }
  })
  at = {
    classId,
    sessionId,
    visitId: visit.id,
    pupilId: visit.children[0].id,
    gameId: 'landfall',
    levelId: 'to-10',
    children: visit.children.map(({ id }) => id).join(','),
  }
  server = await startServer(folder, {}, ['--lan'])
  outside = `http://${lanAddresses()[0]}:${new URL(server.url).port}`
}, 180_000)
afterAll(() => server?.stop())

/** What an address answers within two seconds: streams go on for ever. */
async function read(
  path: string,
  cookie: string,
  init: RequestInit = {},
): Promise<{ status: number; text: string }> {
  const stop = new AbortController()
  const timer = setTimeout(() => stop.abort(), path.includes('/live') ? 2000 : 60_000)
  let text = ''
  let status = 0
  try {
    const response = await fetch(outside + path, {
      ...init,
      headers: { ...init.headers, cookie },
      redirect: 'manual',
      signal: stop.signal,
    })
    status = response.status
    const decoder = new TextDecoder()
    for await (const chunk of response.body ?? [])
      text += decoder.decode(chunk as Uint8Array, { stream: true })
  } catch (error) {
    if (!stop.signal.aborted) throw error
  } finally {
    clearTimeout(timer)
  }
  return { status, text }
}

const found = answering('src/app').sort()

test('every page and route has its row', () => {
  expect(found).toEqual(Object.keys(readers).sort())
})

test.each(found)('%s tells names to those alone who may read them, whatever the method', async (template) => {
  const path =
    template.replace(/\[(\w+)\]/g, (_, name: string) => at[name]) +
    (template.endsWith('/together') ? `?with=${at.children}` : '')
  const told: string[] = []
  for (const [asker, cookie] of Object.entries(cookies)) {
    const { status, text } = await read(path, cookie)
    expect({ asker, fault: status >= 500 }).toEqual({ asker, fault: false })
    if (names.some((name) => text.includes(name))) told.push(asker)
  }
  expect(told.sort()).toEqual([...readers[template]].sort())
  // What is sent by a stranger, from another place on the web, or under another name is refused.
  const body = { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }
  for (const [what, headers] of [
    ['another origin', { origin: 'http://elsewhere.example' }],
    ['nobody', {}],
  ] as const) {
    const { status, text } = await read(path, '', { ...body, headers: { ...body.headers, ...headers } })
    expect({ what, status: status >= 200 && status < 300 && !text.includes('<html') }).toEqual({
      what,
      status: false,
    })
    expect(names.filter((name) => text.includes(name))).toEqual([])
  }
})

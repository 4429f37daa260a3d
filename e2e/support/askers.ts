import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { createClass } from '../../src/server/classes'
import { invite, inviteToClass } from '../../src/server/access/adults'
import { acceptInvitation } from '../../src/server/access/sign-in'
import { lanAddresses } from '../../src/server/http/serve'
import { comeIn, endLinks, makeLink } from '../../src/server/room/links'
import { ownTeacher } from '../../src/server/viewer'
import { runningSession, withFolder } from './school'
import { freshFolder, startServer, type TestServer } from './server'

/** Names that stand nowhere else: whoever finds one has read of a child. */
export const oddNames = ['Zquala', 'Zquilo', 'Zquena', 'Zquoro', 'Zqueli', 'Zquami']

export type Asker =
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
export const readers: Record<string, Asker[]> = {
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
export function answering(folder: string, path = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory())
      return answering(join(folder, entry.name), entry.name.startsWith('(') ? path : `${path}/${entry.name}`)
    return entry.name === 'page.tsx' || entry.name === 'route.ts' ? [path || '/'] : []
  })
}

export interface Asked {
  server: TestServer
  /** The server as other devices reach it. */
  outside: string
  /** What stands in brackets in an address. */
  at: Record<string, string>
  cookies: Record<Asker, string>
}

/** A class with a session under way behind a server that is open to the network, and a device of each party. */
export async function askersAtADoor(): Promise<Asked> {
  const folder = freshFolder()
  const { classId, sessionId, visits } = await runningSession(folder, oddNames)
  const [visit] = visits
  const cookies = await withFolder(folder, async () => {
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
  const at: Record<string, string> = {
    classId,
    sessionId,
    visitId: visit.id,
    pupilId: visit.children[0].id,
    gameId: 'landfall',
    levelId: 'to-10',
    children: visit.children.map(({ id }) => id).join(','),
  }
  const server = await startServer(folder, {}, ['--lan'])
  const outside = `http://${lanAddresses()[0]}:${new URL(server.url).port}`
  return { server, outside, at, cookies }
}

/** An address with what stands in its brackets. */
export const pathOf = (template: string, at: Record<string, string>): string =>
  template.replace(/\[(\w+)\]/g, (_, name: string) => at[name]) +
  (template.endsWith('/together') ? `?with=${at.children}` : '')

/** What an address answers within two seconds: streams go on for ever. */
export async function read(
  outside: string,
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
